<script setup lang="ts">
import { computed } from 'vue'
import type { UserId } from '#core/base'
import type { ClassPractice, PractisedBook } from '#shared/contracts/evidence'
import { count } from '~/shared/words/numbers'

/** To whom a textbook is open as practice, and whether it waits for what comes first. */
type Open = NonNullable<PractisedBook['open']>
const props = defineProps<{ open: Open; learners: ClassPractice['learners'] }>()
const emit = defineEmits<{ keep: [open: Open] }>()
const items = computed(() => props.learners.map((l) => ({ label: l.name, value: l.id })))
const who = computed(() =>
  props.open.learnerIds === null
    ? 'The whole class'
    : `${count(props.open.learnerIds.length, 'learner')} only`,
)
/** Nobody chosen means everybody: a textbook that is open to nobody is closed on the shelf. */
function choose(ids: readonly UserId[]): void {
  emit('keep', { ...props.open, learnerIds: ids.length === 0 ? null : ids })
}
</script>

<template>
  <USelectMenu
    class="w-52"
    multiple
    value-key="value"
    :items="items"
    :model-value="[...(open.learnerIds ?? [])]"
    :aria-label="`${who}: choose learners`"
    data-hook="practice-who"
    @update:model-value="choose"
    ><template #default>{{ who }}</template></USelectMenu
  >
  <UCheckbox
    label="Waits for what comes first"
    :model-value="open.waits"
    data-hook="practice-waits"
    @update:model-value="emit('keep', { ...open, waits: $event === true })"
  />
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { UserId } from '#core/base'
import type { Recipients } from '#shared/contracts/work'
import type { DraftInWork } from '../draft'

/** "Everyone but": learners of the chosen classes who do not get it. */
const props = defineProps<{ recipients: Recipients }>()
const draft = defineModel<DraftInWork>({ required: true })
const excepted = computed(() => {
  const people = new Map(props.recipients.classes.flatMap((c) => c.learners.map((l) => [l.id, l])))
  return draft.value.exceptIds.map((id) => people.get(id) ?? { id, name: 'a learner of another class' })
})
function takeIn(id: UserId): void {
  draft.value = { ...draft.value, exceptIds: draft.value.exceptIds.filter((e) => e !== id) }
}
</script>

<template>
  <p v-if="excepted.length" class="mt-2 flex flex-wrap gap-1.5 items-center" data-hook="excepted">
    <span class="said">Everyone but</span>
    <UButton
      v-for="l in excepted"
      :key="l.id"
      size="xs"
      color="neutral"
      variant="outline"
      trailing-icon="i-lucide-x"
      :aria-label="`${l.name}, left out: take in again`"
      @click="takeIn(l.id)"
      >{{ l.name }}</UButton
    >
  </p>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { Anchor, Moment } from '#core/availability'
import type { LessonId } from '#core/base'
import { AT_WORDS } from '../../words/standing'

/** A moment at a lesson as a sentence with words to change. */
const props = defineProps<{
  label: string
  lessonId: LessonId
  lessons: readonly { readonly label: string; readonly value: LessonId }[]
  disabled?: boolean
}>()
const moment = defineModel<Moment | null>({ required: true })
const anchor = computed<Anchor>(() =>
  moment.value?.kind === 'anchor'
    ? moment.value
    : {
        kind: 'anchor',
        lessonId: props.lessonId,
        edge: 'last',
        offset: 0,
        step: 'meetings',
        at: 'class-end',
      },
)
function put(part: Partial<Anchor>): void {
  moment.value = { ...anchor.value, ...part }
}
const ats = (['class-start', 'class-end', 'end-of-day'] as const).map((value) => ({
  value,
  label: AT_WORDS[value],
}))
const edges = [
  { value: 'first' as const, label: 'first' },
  { value: 'last' as const, label: 'last' },
]
const lessonName = computed(
  () => props.lessons.find((l) => l.value === anchor.value.lessonId)?.label ?? 'a lesson',
)
const at = computed(() => (typeof anchor.value.at === 'string' ? anchor.value.at : 'class-end'))
</script>

<template>
  <div class="sentence">
    <UCheckbox
      :label="label"
      :model-value="moment !== null"
      :disabled="disabled"
      @update:model-value="moment = $event === true ? anchor : null"
    />
    <div v-if="moment" class="words">
      <span>at the</span>
      <USelect
        size="xs"
        :items="ats"
        :model-value="at"
        :disabled="disabled"
        :aria-label="`${label}: start or end`"
        @update:model-value="put({ at: $event })"
      />
      <span>of the</span>
      <USelect
        size="xs"
        :items="edges"
        :model-value="anchor.edge"
        :disabled="disabled"
        :aria-label="`${label}: first or last`"
        @update:model-value="put({ edge: $event })"
      />
      <span>meeting of</span>
      <USelectMenu
        size="xs"
        value-key="value"
        :items="[...lessons]"
        :model-value="anchor.lessonId"
        :disabled="disabled"
        class="w-36"
        :aria-label="`${label}: ${lessonName}`"
        @update:model-value="put({ lessonId: $event })"
      />
      <span>plus</span>
      <UInput
        size="xs"
        type="number"
        class="w-16"
        :model-value="anchor.offset"
        :disabled="disabled"
        :aria-label="`${label}: meetings later`"
        @change="
          put({
            step: 'meetings',
            offset: Math.round(Number(($event.target as HTMLInputElement).value)) || 0,
          })
        "
      />
      <span>meetings</span>
    </div>
  </div>
</template>

<style scoped>
.sentence {
  display: grid;
  gap: 0.25rem;
}
.words {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem;
  font-size: var(--text-xs);
  padding-left: 1.5rem;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { KeptAnswer } from '#core/attempts'
import type { Answer, LearnerItem } from '#core/library'
import { organiserOf } from '#core/versions'
import type { Organiser } from '#core/versions'
import AnswerBlanks from '../answers/AnswerBlanks.vue'
import TwoAnswers from '../TwoAnswers.vue'
import PlannerInput from './PlannerInput.vue'

/** A plan or a sentence to complete: it earns nothing, and is handed in with the work. */
const props = defineProps<{
  item: LearnerItem
  organisers: readonly Organiser[]
  answer: Answer | undefined
  elsewhere: KeptAnswer | undefined
  spelling: boolean
  /** It is only looked at. */
  isFinal?: boolean
}>()
const emit = defineEmits<{ answer: [answer: Answer]; choose: [which: 'theirs' | 'mine'] }>()
const organiser = computed(() => organiserOf(props.organisers, props.item.id))
const legend = computed(() => {
  if (!organiser.value) return 'Complete the sentence'
  return organiser.value === props.organisers[0] ? 'Plan first' : 'Then'
})
const words = computed(() => (props.answer?.kind === 'blanks' ? props.answer.words : {}))
function write(of: Readonly<Record<string, string>>): void {
  emit('answer', { kind: 'blanks', words: of })
}
</script>

<template>
  <fieldset class="fill-in" :disabled="isFinal" :data-item="item.id" data-hook="fill-in">
    <legend>{{ legend }}</legend>
    <PlannerInput
      v-if="organiser"
      :organiser="organiser"
      :words="words"
      :is-final="isFinal"
      :spelling="spelling"
      @words="write"
    />
    <AnswerBlanks
      v-else-if="item.kind === 'blanks'"
      :item="item"
      :value="words"
      :number="null"
      :is-final="isFinal === true"
      :spelling="spelling"
      @value="write"
    />
    <TwoAnswers
      v-if="elsewhere"
      :item="item"
      :mine="answer ?? null"
      :theirs="elsewhere.answer"
      @choose="emit('choose', $event)"
    />
  </fieldset>
</template>

<style scoped>
.fill-in {
  padding: 1rem 0;
  border-bottom: 1px solid var(--ui-border);
  min-width: 0;
}
legend {
  font-weight: 650;
  font-size: 0.98rem;
}
.fill-in :deep(.passage) {
  margin-left: 0;
}
</style>

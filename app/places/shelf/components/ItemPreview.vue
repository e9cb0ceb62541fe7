<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { faultOf, findingsIn, forLearner, isOmitted, isScoredByHand, scoreItem } from '#core/library'
import type { Answer, Item } from '#core/library'
import { AnswerInput } from '~/places/learner'
import { sayRefusal } from '~/shared/words/refusals'
import { sayFinding } from '../words/findings'

/** A question as a learner gets it, to be tried, with what is wrong with it or worth a second look. */
const props = defineProps<{ item: Item; number: number }>()
const answer = ref<Answer>()
watch(
  () => props.item.kind,
  () => {
    answer.value = undefined
  },
)
/** Nothing is wrong yet with what is not begun. */
const isBegun = computed(() => props.item.stem !== '')
const fault = computed(() => faultOf(props.item, props.number))
const findings = computed(() => (fault.value || !isBegun.value ? [] : findingsIn(props.item)))
const earned = computed(() => {
  if (fault.value || isOmitted(answer.value)) return null
  if (isScoredByHand(props.item)) return 'scored by hand'
  return `${Math.round(scoreItem(props.item, answer.value) * 100) / 100} of ${props.item.points}`
})
</script>

<template>
  <aside class="preview" :aria-label="`Question ${number} as a learner sees it`">
    <p class="said">As a learner sees it; try it, nothing is kept.</p>
    <AnswerInput
      :item="forLearner(item)"
      :number="number"
      :answer="answer"
      :is-final="false"
      :spelling="false"
      @answer="
        (given: Answer) => {
          answer = given
        }
      "
    />
    <p v-if="earned" class="said" role="status">This answer: {{ earned }}</p>
    <p v-if="fault && isBegun" class="note-line needs" :data-hook="`fault-${number}`">
      {{ sayRefusal(fault) }}
    </p>
    <ul v-if="findings.length" class="findings" :data-hook="`findings-${number}`">
      <li v-for="f in findings" :key="f.code">{{ sayFinding(f) }}</li>
    </ul>
  </aside>
</template>

<style scoped>
.preview {
  padding: 0.7rem 0.9rem 0.9rem;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
  display: grid;
  gap: 0.5rem;
  align-content: start;
  min-width: 0;
}
.findings {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  display: grid;
  gap: 0.15rem;
  border-top: 1px solid var(--ui-border);
  padding-top: 0.4rem;
}
</style>

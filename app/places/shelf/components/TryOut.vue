<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { forLearner, givenInWords, isOmitted, isScoredByHand, rightInWords, scoreItem } from '#core/library'
import type { Answer, Item } from '#core/library'
import { AnswerInput } from '~/places/learner'
import { count } from '~/shared/words/numbers'

/** Questions as a learner gets them, to be tried: nothing is recorded. */
const props = defineProps<{ items: readonly Item[] }>()
const answers = ref<Record<string, Answer>>({})
const isScored = ref(false)
watch(
  () => props.items,
  () => {
    answers.value = {}
    isScored.value = false
  },
)
const shown = (points: number) => Math.round(points * 100) / 100
const results = computed(() =>
  props.items.map((item) => {
    const answer = answers.value[item.id]
    return { item, answer, points: scoreItem(item, answer), isByHand: isScoredByHand(item) }
  }),
)
const sum = computed(() => ({
  points: shown(results.value.reduce((n, r) => n + r.points, 0)),
  of: results.value.reduce((n, r) => n + (r.isByHand ? 0 : r.item.points), 0),
  byHand: results.value.filter((r) => r.isByHand).length,
}))
function give(id: string, answer: Answer): void {
  answers.value = { ...answers.value, [id]: answer }
}
</script>

<template>
  <form
    data-hook="try-out"
    @submit.prevent="
      () => {
        isScored = true
      }
    "
  >
    <div v-for="(r, i) in results" :key="r.item.id" class="one">
      <AnswerInput
        :item="forLearner(r.item)"
        :number="i + 1"
        :answer="r.answer"
        :is-final="false"
        :spelling="false"
        @answer="give(r.item.id, $event)"
      />
      <p v-if="isScored" class="result" role="status">
        <template v-if="r.isByHand">Scored by hand</template
        ><template v-else>{{ shown(r.points) }} of {{ r.item.points }}</template
        ><template v-if="!isOmitted(r.answer) && r.answer">
          · given: {{ givenInWords(r.item, r.answer) }}</template
        ><template v-if="!r.isByHand"> · right: {{ rightInWords(r.item) }}</template>
      </p>
    </div>
    <div class="flex flex-wrap gap-3 items-center py-4">
      <UButton type="submit" color="neutral" variant="outline" data-hook="score-try-out"
        >Score what I answered</UButton
      >
      <p v-if="isScored" class="said" role="status" data-hook="try-out-score">
        {{ sum.points }} of {{ count(sum.of, 'point')
        }}<template v-if="sum.byHand">; {{ count(sum.byHand, 'question') }} scored by hand</template>. Nothing
        of this is recorded.
      </p>
    </div>
  </form>
</template>

<style scoped>
.one {
  padding-bottom: 0.9rem;
  border-bottom: 1px solid var(--ui-border);
  max-width: 46rem;
}
.result {
  margin: 0.5rem 0 0 1.9rem;
  font-size: 0.84rem;
  color: var(--ui-text-muted);
}
</style>

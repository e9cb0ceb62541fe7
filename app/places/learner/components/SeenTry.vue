<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Answer, LearnerItem } from '#core/library'
import { givenInWords, isOmitted } from '#core/library'
import type { SeenTry } from '#shared/contracts/learning'
import { markOf } from '../marks'
import { toInlineHtml } from '~/shared/words/markdown'
import { count, percent } from '~/shared/words/numbers'
import { sayMoment } from '~/shared/words/times'

const props = defineProps<{
  attempt: SeenTry
  zone: string
  startOpen: boolean
  only: boolean
  /** A page: what was filled in can always be read again, whatever is told of it. */
  isCopy: boolean
}>()
const open = ref(props.startOpen)
const name = computed(() => {
  if (!props.only) return `Try ${props.attempt.number}`
  return props.isCopy ? 'Your copy' : 'Your try'
})
const ENDED = {
  learner: '',
  'time-limit': 'The time was up; what was saved counts.',
  closing: 'It closed while you were working; what was saved counts.',
} as const
const PUT_RIGHT = {
  dropped: 'This question counts for nobody',
  credit: 'All points to everybody',
} as const
const shown = computed(
  () =>
    props.isCopy ||
    props.attempt.items.some((i) => i.points !== undefined || i.waits || i.right !== undefined),
)
function given(item: LearnerItem, answer: Answer | null): string {
  return !answer || isOmitted(answer) ? 'no answer' : givenInWords(item, answer)
}
</script>

<template>
  <section class="try" data-hook="seen-try">
    <header>
      <div class="flex-1">
        <h2>{{ name }}</h2>
        <p class="said">
          Handed in {{ sayMoment(attempt.submittedAt, zone)
          }}<template v-if="attempt.late"
            >, {{ attempt.score ? `${count(attempt.score.lateDays, 'day')} late` : 'late' }}</template
          >.
          {{ ENDED[attempt.endedBy] }}
        </p>
      </div>
      <p v-if="attempt.score && attempt.score.ratio === null" class="said" data-hook="not-scored">
        Your teacher has yet to score it, out of {{ count(attempt.score.of, 'point') }}.
      </p>
      <p v-else-if="attempt.score && attempt.score.ratio !== null" class="score">
        <strong>{{ percent(attempt.score.ratio) }}</strong><span class="said"
          >{{ attempt.score.points }} of {{ attempt.score.of }} points<template
            v-if="attempt.score.isEstimate"
            >; {{ percent(attempt.score.ratio + attempt.score.deductedRatio) }} is the estimate for all
            questions of this piece</template
          ><template v-if="attempt.score.deductedRatio > 0"
            >, {{ percent(attempt.score.deductedRatio) }} off for being late</template
          ><template v-if="attempt.score.waiting"
            >; {{ count(attempt.score.waiting, 'point') }} still to be scored by your teacher</template
          ></span
        >
      </p>
    </header>
    <UButton
      v-if="shown"
      size="xs"
      color="neutral"
      variant="ghost"
      :icon="open ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
      :aria-expanded="open"
      @click="
        () => {
          open = !open
        }
      "
      >{{ isCopy ? 'What you filled in' : 'Question by question' }}</UButton
    >
    <ol v-if="open && shown">
      <li v-for="(s, i) in attempt.items" :key="s.item.id">
        <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
        <p class="stem">
          <span class="number">{{ i + 1 }}</span><span v-html="toInlineHtml(s.item.stem)" />
        </p>
        <p class="line">
          <span v-if="s.putRight" class="mark" data-hook="put-right">{{ PUT_RIGHT[s.putRight] }}</span><span
            v-else-if="s.points !== undefined"
            class="mark"
            ><UIcon :name="markOf(s.points, s.item.points).icon" class="size-4" aria-hidden="true" />{{
              markOf(s.points, s.item.points).word
            }}, {{ s.points }} of {{ s.item.points }}</span
          ><span
            >{{ isCopy ? 'You wrote' : 'You answered' }}: <b>{{ given(s.item, s.answer) }}</b></span
          >
        </p>
        <p v-if="s.right !== undefined" class="line">
          <span
            >Right: <b>{{ s.right }}</b></span
          >
        </p>
        <p v-if="s.waits" class="line">Your teacher has yet to score this.</p>
        <p v-if="s.criteria" class="line said" data-hook="criteria">
          <span v-for="c in s.criteria" :key="c.name">{{ c.name }}: {{ c.points }} of {{ c.of }}</span>
        </p>
        <p v-if="s.comment" class="line feedback" data-hook="comment">Your teacher: {{ s.comment }}</p>
        <p v-if="s.feedback" class="line feedback">{{ s.feedback }}</p>
        <p v-if="s.hint" class="line feedback">Hint for your next try: {{ s.hint }}</p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.try {
  border-top: 1px solid var(--line);
  padding: 0.9rem 0;
}
header {
  display: flex;
  gap: 1rem;
  align-items: flex-start;
}
.score {
  display: grid;
  justify-items: end;
  text-align: right;
}
.score strong {
  font: 650 1.5rem var(--font-display);
}
ol {
  display: grid;
  gap: 0.9rem;
  margin-top: 0.6rem;
}
.stem {
  display: flex;
  gap: 0.7rem;
  font-weight: 600;
}
.number {
  color: var(--ui-text-muted);
  min-width: 1.2rem;
  font-variant-numeric: tabular-nums;
}
.line {
  padding-left: 1.9rem;
  display: flex;
  gap: 0.9rem;
  flex-wrap: wrap;
  align-items: baseline;
}
.mark {
  display: inline-flex;
  gap: 0.3rem;
  align-items: center;
  color: var(--ui-text-muted);
  font-size: 0.84rem;
}
.feedback {
  color: var(--ui-text-toned);
  font-style: normal;
  border-left: 3px solid var(--line);
  margin-left: 1.9rem;
  padding-left: 0.6rem;
}
</style>

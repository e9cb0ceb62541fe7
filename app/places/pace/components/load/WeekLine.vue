<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay, Minutes } from '#core/base'
import type { LearnerWeeks } from '#shared/contracts/load'
import { count } from '~/shared/words/numbers'
import { sayDate } from '~/shared/words/times'

/** One learner's minutes from week to week through the year, with the ceiling and the week that is looked at. */
const props = defineProps<{
  of: LearnerWeeks
  weeks: readonly IsoDay[]
  week: IsoDay
  /** Minutes a week that shall not be passed; null: nobody has said. */
  ceiling: Minutes | null
}>()
const WIDTH = 320
const HEIGHT = 64
const most = computed(() => Math.max(1, props.ceiling ?? 0, ...props.of.minutes) * 1.08)
const x = (place: number) => ((place + 0.5) / props.weeks.length) * WIDTH
const y = (minutes: Minutes) => HEIGHT - (minutes / most.value) * HEIGHT
const line = computed(() => props.of.minutes.map((m, i) => `${x(i).toFixed(1)},${y(m).toFixed(1)}`).join(' '))
const at = computed(() => props.weeks.indexOf(props.week))
const words = computed(() => {
  const heaviest = props.of.minutes.reduce((a, m, i) => (m > (props.of.minutes[a] ?? 0) ? i : a), 0)
  const on = props.weeks[heaviest]
  const minutes = props.of.minutes[heaviest] ?? 0
  const { ceiling } = props
  const over = ceiling === null ? 0 : props.of.minutes.filter((m) => m > ceiling).length
  const most = on ? `Most in the week of ${sayDate(on)}: ${count(minutes, 'minute')}.` : ''
  const weeks = over === 0 ? 'No week' : count(over, 'week')
  return ceiling === null ? most : `${most} ${weeks} above ${ceiling} minutes (the dashed line).`
})
</script>

<template>
  <figure data-hook="week-line">
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true">
      <line v-if="ceiling !== null" class="ceiling" x1="0" :x2="WIDTH" :y1="y(ceiling)" :y2="y(ceiling)" />
      <line v-if="at >= 0" class="at" :x1="x(at)" :x2="x(at)" y1="0" :y2="HEIGHT" />
      <polyline :points="line" />
    </svg>
    <figcaption class="said">{{ words }}</figcaption>
  </figure>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 4rem;
  border-bottom: 1px solid var(--line);
}
polyline {
  fill: none;
  stroke: var(--ui-primary);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.ceiling {
  stroke: var(--ui-error);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
  vector-effect: non-scaling-stroke;
}
.at {
  stroke: var(--ui-text-muted);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { TrailId } from '#core/base'
import { supportOf } from '#core/versions'
import type { Trail } from '#core/versions'
import type { TrailRow } from '#shared/contracts/versions'

/** A learner's path over their last pieces: it climbs as support gets less; each point with its score. */
const props = defineProps<{
  points: TrailRow['points']
  trails: readonly Trail[]
  /** Where it goes on. */
  next: TrailId
  isStuck: boolean
}>()
const MOST = 10
const STEP = 40
const RISE = 15
const last = computed(() => props.points.slice(-MOST))
const yOf = (id: TrailId) => 10 + supportOf(props.trails, id) * RISE
const xOf = (i: number) => 16 + i * STEP
const height = computed(() => 10 + (props.trails.length - 1) * RISE + 22)
const width = xOf(MOST) + 14
const line = computed(() => last.value.map((p, i) => `${xOf(i)},${yOf(p.trailId)}`).join(' '))
const end = computed(() => ({ x: xOf(last.value.length), y: yOf(props.next) }))
const from = computed(() => {
  const p = last.value.at(-1)
  return p ? { x: xOf(last.value.length - 1), y: yOf(p.trailId) } : end.value
})
const label = computed(() =>
  last.value.length === 0
    ? 'no pieces with versions yet'
    : last.value
        .map((p) => {
          const name = props.trails.find((t) => t.id === p.trailId)?.name ?? ''
          const score = p.percent === null ? 'no score' : `${p.percent} %`
          return `${p.title}: ${name}, ${score}${p.isParallel ? ', another task' : ''}`
        })
        .join('; '),
)
</script>

<template>
  <svg
    role="img"
    :aria-label="label"
    :viewBox="`0 0 ${width} ${height}`"
    :width="width"
    :height="height"
    :class="{ stuck: isStuck }"
  >
    <line v-for="t in trails" :key="t.id" class="level" x1="0" :x2="width" :y1="yOf(t.id)" :y2="yOf(t.id)" />
    <polyline v-if="last.length > 1" class="path" :points="line" />
    <line class="next" :x1="from.x" :y1="from.y" :x2="end.x" :y2="end.y" />
    <path
      class="head"
      :d="`M ${end.x - 4} ${end.y - 5} L ${end.x + 5} ${end.y} L ${end.x - 4} ${end.y + 5} Z`"
    />
    <g v-for="(p, i) in last" :key="i">
      <rect
        v-if="p.isParallel"
        class="point"
        :x="xOf(i) - 5"
        :y="yOf(p.trailId) - 5"
        width="10"
        height="10"
        :transform="`rotate(45 ${xOf(i)} ${yOf(p.trailId)})`"
      />
      <circle
        v-else
        class="point"
        :class="{ none: p.percent === null }"
        :cx="xOf(i)"
        :cy="yOf(p.trailId)"
        r="5"
      />
      <text :x="xOf(i)" :y="height - 3">{{ p.percent ?? '–' }}</text>
      <title>{{ p.title }}</title>
    </g>
  </svg>
</template>

<style scoped>
.level {
  stroke: var(--ui-border);
}
.path {
  fill: none;
  stroke: var(--ui-primary);
  stroke-width: 2;
}
.next {
  stroke: var(--ui-primary);
  stroke-width: 2;
  stroke-dasharray: 3 3;
}
.head {
  fill: var(--ui-primary);
}
.point {
  fill: var(--ui-primary);
}
.point.none {
  fill: var(--ui-bg);
  stroke: var(--ui-primary);
  stroke-width: 2;
}
.stuck :is(.path, .next) {
  stroke: var(--ui-error);
  stroke-width: 3;
}
text {
  font-size: var(--text-xs);
  text-anchor: middle;
  fill: var(--ui-text-muted);
}
</style>

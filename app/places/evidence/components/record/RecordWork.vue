<script setup lang="ts">
import { computed } from 'vue'
import { pieceName } from '#core/attempts'
import type { Instant } from '#core/base'
import type { LearnerRecord } from '../../learnerRecord'
import { isBelow, sayPieceIn, textOf, toneOf } from '../../cellWords'
import { percent } from '~/shared/words/numbers'
import { sayDate, zoneNamed } from '~/shared/words/times'

/** A learner's work in the order of its due dates: a line of their scores, and below it each piece. */
const props = defineProps<{ work: LearnerRecord['work']; zone: string }>()
const due = (at: Instant | null) =>
  at === null ? '' : sayDate(zoneNamed(props.zone).local((at - 1) as Instant).on)
const scores = computed(() => props.work.flatMap((w) => w.cell.ratio ?? []))
const WIDTH = 600
const HEIGHT = 84
/** The scores as points, each a step to the right; all points at the top. */
const points = computed(() =>
  scores.value.map((ratio, i) => ({
    x: scores.value.length === 1 ? WIDTH / 2 : 8 + (i * (WIDTH - 16)) / (scores.value.length - 1),
    y: 6 + (1 - ratio) * (HEIGHT - 12),
  })),
)
const said = computed(() => `Scores in the order of due dates: ${scores.value.map(percent).join(', ')}`)
const title = ({ column }: LearnerRecord['work'][number]) => sayPieceIn(column)
</script>

<template>
  <section>
    <h2>Work</h2>
    <p v-if="!work.length" class="said">Nothing was given to them in this class yet.</p>
    <svg
      v-if="points.length > 1"
      class="line"
      role="img"
      :aria-label="said"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      data-hook="score-line"
    >
      <line x1="0" :x2="WIDTH" y1="6" y2="6" />
      <line x1="0" :x2="WIDTH" :y1="HEIGHT - 6" :y2="HEIGHT - 6" />
      <polyline :points="points.map((p) => `${p.x},${p.y}`).join(' ')" />
      <circle v-for="(p, i) in points" :key="i" :cx="p.x" :cy="p.y" r="4" />
    </svg>
    <p v-if="points.length > 1" class="said mb-2">Scores in the order of due dates, between 0 and 100 %.</p>
    <table v-if="work.length" class="grid-table" data-hook="record-work">
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col">Due</th>
          <th scope="col">Result</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in work" :key="pieceName(w.column)">
          <th scope="row">{{ title(w) }}</th>
          <td>{{ due(w.column.dueAt) }}</td>
          <td :class="toneOf(w.cell)">
            {{ textOf(w.cell, w.column) }}<template v-if="w.cell.late">, late</template
            ><template v-if="isBelow(w.cell)">, not passed</template
            ><template v-if="w.cell.attempts > 1">, {{ w.cell.attempts }} tries</template>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.line {
  width: 100%;
  height: 5.25rem;
  margin: 0.4rem 0 0.6rem;
}
.line line {
  stroke: var(--ui-border-accented);
}
.line polyline {
  fill: none;
  stroke: var(--color-grit-400);
  stroke-width: 2;
}
.line circle {
  fill: var(--ui-primary);
}
th[scope='row'] {
  font-weight: 500;
}
td {
  white-space: nowrap;
}
td.low {
  background: var(--share-low);
}
td.high {
  background: var(--share-high);
}
td.missing {
  color: var(--ui-error);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import type { IsoDay } from '#core/base'
import { driftSeries } from '#core/pacing'
import { driftOption } from '../../chartOptions'
import { useInks } from '../../composables/inks'
import { driftOf } from '../../stores/deskColumn'
import type { DeskColumn } from '../../stores/deskColumn'
import { sayDrift } from '../../words/ways'

/** Meetings ahead of or behind the baseline, over the year. */
const props = defineProps<{ columns: readonly DeskColumn[]; today: IsoDay | null }>()
const ChartBox = defineAsyncComponent(() => import('~/shared/charts/ChartBox.vue'))
const inks = useInks()
const lines = computed(() =>
  props.columns
    .flatMap((c) => {
      const { baseline } = c.of.pacing
      return baseline && c.layout ? [{ c, baseline, layout: c.layout }] : []
    })
    .map(({ c, baseline, layout }) => ({
      name: c.of.shortName,
      now: props.today ? (driftOf(c, props.today) ?? 0) : 0,
      points: driftSeries(baseline, layout, c.calendar.meetings),
    })),
)
</script>

<template>
  <section v-if="lines.length" aria-labelledby="dr-h">
    <h2 id="dr-h">Drift over the year</h2>
    <p class="said">
      Meetings ahead of (+) or behind (−) the baseline. Now:
      <template v-for="(l, i) in lines" :key="l.name"
        ><template v-if="i">, </template>{{ l.name }} {{ sayDrift(l.now) }}</template
      >.
    </p>
    <ChartBox
      :option="driftOption(lines, today, inks)"
      label="Drift of each class over the year; the line above tells where they are now"
      :height="280"
    />
  </section>
</template>

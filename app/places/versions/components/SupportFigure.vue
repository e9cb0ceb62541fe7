<script setup lang="ts">
import { computed } from 'vue'
import type { EChartsOption } from 'echarts'
import type { SupportEffect } from '#core/versions'
import type { TrailSheet } from '#shared/contracts/versions'
import ChartBox from '~/shared/charts/ChartBox.vue'
import { count } from '~/shared/words/numbers'
import { sayDate } from '~/shared/words/times'

/** How support shrinks over the term, and what went with changes of it. */
const props = defineProps<{ sheet: TrailSheet }>()
const SHADES = ['#80b9bf', '#dcb030', '#c8502a', '#6a883f', '#777166']
const option = computed((): EChartsOption => ({
  grid: { left: 8, right: 16, top: 32, bottom: 4, containLabel: true },
  legend: { top: 0, itemWidth: 14 },
  tooltip: { trigger: 'axis' },
  xAxis: { type: 'category', data: props.sheet.weeks.map((w) => sayDate(w.monday)) },
  yAxis: { type: 'value', name: 'pieces', minInterval: 1 },
  series: props.sheet.trails.map((t, i) => ({
    type: 'bar',
    stack: 'all',
    name: t.name,
    itemStyle: { color: SHADES[i] ?? '#777166' },
    data: props.sheet.weeks.map((w) => w.counts[i] ?? 0),
  })),
}))
const shareOfLeast = (counts: readonly number[]) => {
  const all = counts.reduce((a, b) => a + b, 0)
  return all === 0 ? 0 : Math.round(((counts[0] ?? 0) / all) * 100)
}
const label = computed(() => {
  const { weeks, trails } = props.sheet
  const [first, last] = [weeks[0], weeks.at(-1)]
  if (!first || !last) return 'No pieces with versions yet.'
  return (
    `In the week of ${sayDate(first.monday)} ${shareOfLeast(first.counts)} % of the pieces were had as ` +
    `“${trails[0]?.name}”, in that of ${sayDate(last.monday)} ${shareOfLeast(last.counts)} %.`
  )
})
function sayEffect({ direction, changes, before, after, isFew }: SupportEffect): string {
  const head = `${direction === 'less' ? 'Less' : 'More'} support, ${count(changes, 'change')}`
  if (before === null || after === null) return `${head}: nothing to compare yet.`
  const scores = `${Math.round(before)} % before, ${Math.round(after)} % after`
  return isFew ? `${head}: ${scores}. Too few to say anything.` : `${head}: ${scores}.`
}
</script>

<template>
  <section class="grid gap-2" aria-labelledby="support-figure">
    <h2 id="support-figure">How support shrinks</h2>
    <p>{{ label }}</p>
    <ChartBox v-if="sheet.weeks.length" :option="option" :label="label" :height="220" />
    <h3>What went with a change of support</h3>
    <p v-for="effect in sheet.effects" :key="effect.direction">{{ sayEffect(effect) }}</p>
    <p class="said">
      Means of up to two scores on each side. Who is given more support after a low score would often do
      better the next time anyway: this says what went together, not what caused it.
    </p>
  </section>
</template>

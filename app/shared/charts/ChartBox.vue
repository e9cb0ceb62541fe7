<script setup lang="ts">
import { useColorMode, useElementSize } from '@vueuse/core'
import { BarChart, LineChart, CustomChart } from 'echarts/charts'
import {
  AriaComponent,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components'
import { init, use } from 'echarts/core'
import type { EChartsType } from 'echarts/core'
import type { EChartsOption } from 'echarts'
import { SVGRenderer } from 'echarts/renderers'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'

/**
 * A chart; what it shows is also given in words by the caller, since a picture is no fact for a screen
 * reader.
 */
const props = defineProps<{ option: EChartsOption; label: string; height?: number }>()
use([
  BarChart,
  LineChart,
  CustomChart,
  GridComponent,
  LegendComponent,
  TooltipComponent,
  MarkLineComponent,
  AriaComponent,
  SVGRenderer,
])
/** No word of a chart is smaller than the least type of the pages. */
const TYPE_PX = 13
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box)
const mode = useColorMode()
let chart: EChartsType | null = null

function token(name: string): string {
  return getComputedStyle(document.documentElement).getPropertyValue(name).trim()
}
function draw(): void {
  if (!box.value || width.value === 0) return
  chart ??= init(box.value, null, { renderer: 'svg' })
  const [ink, muted, line] = [token('--ui-text'), token('--ui-text-muted'), token('--ui-border')]
  const axis = {
    axisLabel: { color: muted, fontSize: TYPE_PX },
    axisLine: { lineStyle: { color: line } },
    splitLine: { lineStyle: { color: line } },
    nameTextStyle: { color: muted, fontSize: TYPE_PX },
  }
  const still = matchMedia('(prefers-reduced-motion: reduce)').matches
  const themed = {
    ...props.option,
    animation: !still,
    textStyle: { fontFamily: token('--font-sans') || 'sans-serif', fontSize: TYPE_PX, color: ink },
  } as Record<string, unknown>
  for (const key of ['xAxis', 'yAxis'])
    themed[key] = [themed[key] ?? []].flat().map((a) => ({
      ...axis,
      ...(a as object),
      axisLabel: { ...axis.axisLabel, ...((a as { axisLabel?: object }).axisLabel ?? {}) },
    }))
  const words = { textStyle: { color: ink, fontSize: TYPE_PX } }
  if (themed.legend) themed.legend = { ...words, ...(themed.legend as object) }
  chart.setOption(themed as EChartsOption, { notMerge: true })
}
onMounted(draw)
watch(() => [props.option, mode.value], draw)
watch(width, () => {
  if (!chart) return draw()
  chart.resize()
})
onBeforeUnmount(() => chart?.dispose())
</script>

<template>
  <div ref="box" class="chart" role="img" :aria-label="label" :style="{ height: `${height ?? 260}px` }" />
</template>

<style scoped>
/* as wide as there is room, never as what was drawn before: a window that is made narrower has its charts follow */
.chart {
  contain: inline-size;
  overflow: hidden;
}
</style>

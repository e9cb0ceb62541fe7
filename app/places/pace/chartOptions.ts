import type {
  CustomSeriesRenderItemAPI,
  CustomSeriesRenderItemParams,
  CustomSeriesRenderItemReturn,
  EChartsOption,
} from 'echarts'
import type { IsoDay } from '#core/base'
import type { Reach } from '#core/pacing'
import { sayDate } from '~/shared/words/times'

/** Colours of the theme as the page has them now. */
export interface Inks {
  readonly primary: string
  readonly rowan: string
  readonly gorse: string
  readonly moss: string
  readonly muted: string
  readonly ground: string
}

export const LINE_STYLES = [
  'solid',
  'dashed',
  'dotted',
  'solid',
  'dashed',
  'dotted',
  'solid',
  'dashed',
] as const
const SYMBOLS = [
  'circle',
  'rect',
  'triangle',
  'diamond',
  'emptyCircle',
  'emptyRect',
  'emptyTriangle',
  'emptyDiamond',
] as const

/** Need and least need of each stretch against its capacity, in meetings. */
export function fitOption(
  reaches: readonly (Pick<Reach, 'capacityHalves' | 'needHalves' | 'leastHalves'> & {
    readonly name: string
  })[],
  inks: Inks,
): EChartsOption {
  const meetings = (halves: number) => Math.round(halves * 5) / 10
  const mark =
    (draw: (x0: number, x1: number, y: number) => CustomSeriesRenderItemReturn) =>
    (_: CustomSeriesRenderItemParams, api: CustomSeriesRenderItemAPI) => {
      const [x1 = 0, y = 0] = api.coord([Number(api.value(0)), Number(api.value(1))])
      const [x0 = 0] = api.coord([0, Number(api.value(1))])
      return draw(x0, x1, y)
    }
  const value = (of: 'capacityHalves' | 'leastHalves') => reaches.map((r, i) => [meetings(r[of]), i])
  return {
    grid: { left: 8, right: 24, top: 32, bottom: 4, containLabel: true },
    legend: { top: 0, itemWidth: 14 },
    tooltip: { trigger: 'axis', axisPointer: { type: 'shadow' } },
    yAxis: { type: 'category', inverse: true, data: reaches.map((r) => r.name) },
    xAxis: { type: 'value', minInterval: 1 },
    series: [
      {
        name: 'Meetings there are',
        type: 'custom',
        color: inks.muted,
        z: 3,
        encode: { x: 0, y: 1 },
        data: value('capacityHalves'),
        renderItem: mark((x0, x1, y) => ({
          type: 'rect',
          shape: { x: x0, y: y - 13, width: x1 - x0, height: 26, r: 3 },
          style: { fill: 'none', stroke: inks.muted, lineWidth: 1.5 },
        })),
      },
      {
        name: 'Needed',
        type: 'bar',
        barWidth: 14,
        color: inks.primary,
        z: 1,
        data: reaches.map((r) => ({
          value: meetings(r.needHalves),
          itemStyle: { color: r.needHalves > r.capacityHalves ? inks.rowan : inks.primary },
        })),
      },
      {
        name: 'Needed at least',
        type: 'custom',
        color: inks.gorse,
        z: 4,
        encode: { x: 0, y: 1 },
        data: value('leastHalves'),
        renderItem: mark((_, x1, y) => ({
          type: 'rect',
          shape: { x: x1 - 2, y: y - 10, width: 4, height: 20 },
          style: { fill: inks.gorse },
        })),
      },
    ],
  }
}

/** Drift of each class over its meeting days. */
export function driftOption(
  lines: readonly {
    readonly name: string
    readonly points: readonly { readonly on: IsoDay; readonly meetings: number }[]
  }[],
  today: IsoDay | null,
  inks: Inks,
): EChartsOption {
  const colours = [inks.primary, inks.rowan, inks.moss, inks.gorse, inks.muted]
  return {
    grid: { left: 8, right: 40, top: 32, bottom: 4, containLabel: true },
    legend: { top: 0 },
    tooltip: { trigger: 'axis' },
    xAxis: { type: 'time', axisLabel: { formatter: (value: number) => sayDate(isoOf(value)) } },
    yAxis: { type: 'value', minInterval: 1 },
    series: lines.map((l, i) => ({
      name: l.name,
      type: 'line' as const,
      step: 'end' as const,
      symbol: SYMBOLS[i % SYMBOLS.length],
      symbolSize: 5,
      showSymbol: false,
      data: l.points.map((p) => [p.on, p.meetings]),
      lineStyle: { width: 2, type: LINE_STYLES[i % LINE_STYLES.length] },
      color: colours[i % colours.length],
      ...(i === 0 && today
        ? {
            markLine: {
              symbol: 'none',
              silent: true,
              label: { formatter: 'today', color: inks.rowan },
              lineStyle: { color: inks.rowan, type: 'solid' as const },
              data: [{ xAxis: today }],
            },
          }
        : {}),
    })),
  }
}

/** The date of an axis's value, which is at midnight UTC. */
export function isoOf(ms: number): IsoDay {
  return new Date(ms).toISOString().slice(0, 10) as IsoDay
}

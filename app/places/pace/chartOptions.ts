import type { CustomSeriesRenderItemAPI, CustomSeriesRenderItemParams, EChartsOption } from 'echarts'
import type { IsoDay } from '#core/base'
import type { Band, Reach } from '#core/pacing'
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
    (draw: (x0: number, x1: number, y: number) => object) =>
    (_: CustomSeriesRenderItemParams, api: CustomSeriesRenderItemAPI) => {
      const [x1 = 0, y = 0] = api.coord([Number(api.value(0)), Number(api.value(1))])
      const [x0 = 0] = api.coord([0, Number(api.value(1))])
      return draw(x0, x1, y) as never
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

function isoOf(ms: number): IsoDay {
  return new Date(ms).toISOString().slice(0, 10) as IsoDay
}

/** The 10 to 90 % span and the middle of each unit's end, beside where the layout puts it. */
export function bandOption(
  rows: readonly { readonly name: string; readonly on: Band; readonly planned: IsoDay | null }[],
  firstOn: IsoDay,
  lastOn: IsoDay,
  inks: Inks,
): EChartsOption {
  const ms = (on: IsoDay | null) => Date.parse(on ?? lastOn)
  const bar = (params: CustomSeriesRenderItemParams, api: CustomSeriesRenderItemAPI) => {
    const y = Number(api.value(0))
    const [from, mid, to] = [1, 2, 3].map((i) => api.coord([Number(api.value(i)), y])) as [
      number[],
      number[],
      number[],
    ]
    const [x0, x1, xm, at] = [from[0] ?? 0, to[0] ?? 0, mid[0] ?? 0, from[1] ?? 0]
    return {
      type: 'group' as const,
      children: [
        {
          type: 'rect' as const,
          shape: { x: x0, y: at - 7, width: Math.max(2, x1 - x0), height: 14, r: 4 },
          style: { fill: inks.primary, opacity: 0.35 },
        },
        {
          type: 'rect' as const,
          shape: { x: xm - 1.5, y: at - 10, width: 3, height: 20 },
          style: { fill: inks.primary },
        },
      ],
    }
  }
  return {
    grid: { left: 8, right: 24, top: 32, bottom: 4, containLabel: true },
    tooltip: {
      trigger: 'item',
      formatter: (p) => {
        const r = rows[(p as unknown as { dataIndex: number }).dataIndex]
        return r ? `${r.name}: ${r.on.map((d) => (d ? sayDate(d) : 'past the year')).join(' · ')}` : ''
      },
    },
    legend: { top: 0, data: ['10 to 90 %, middle', 'As laid out'] },
    xAxis: {
      type: 'time',
      min: firstOn,
      max: lastOn,
      axisLabel: { formatter: (value: number) => sayDate(isoOf(value)) },
    },
    yAxis: { type: 'category', inverse: true, data: rows.map((r) => r.name) },
    series: [
      {
        name: '10 to 90 %, middle',
        type: 'custom',
        renderItem: bar,
        color: inks.primary,
        encode: { x: [1, 2, 3], y: 0 },
        data: rows.map((r, i) => [i, ms(r.on[0]), ms(r.on[1]), ms(r.on[2])]),
      },
      {
        name: 'As laid out',
        type: 'line',
        symbol: 'diamond',
        symbolSize: 9,
        lineStyle: { width: 0 },
        color: inks.rowan,
        data: rows.map((r, i) => [r.planned ? ms(r.planned) : NaN, i]),
      },
    ],
  }
}

/** Meetings lost and shortened in each term, by class. */
export function lostOption(
  rows: readonly {
    readonly name: string
    readonly byCause: Readonly<Record<string, number>>
    readonly shortened: number
  }[],
  inks: Inks,
): EChartsOption {
  const causes: readonly (readonly [string, string, string])[] = [
    ['closure', 'School closed', inks.muted],
    ['event', 'Events', inks.gorse],
    ['cancelled', 'Called off', inks.rowan],
  ]
  return {
    grid: { left: 8, right: 16, top: 32, bottom: 4, containLabel: true },
    legend: { top: 0 },
    tooltip: { trigger: 'axis', axisPointer: { type: 'shadow' } },
    yAxis: { type: 'category', inverse: true, data: rows.map((r) => r.name) },
    xAxis: { type: 'value', minInterval: 1 },
    series: [
      ...causes.map(([key, name, color]) => ({
        name,
        type: 'bar' as const,
        stack: 'lost',
        barWidth: 16,
        itemStyle: { color },
        data: rows.map((r) => r.byCause[key] ?? 0),
      })),
      {
        name: 'Shortened',
        type: 'bar' as const,
        stack: 'lost',
        itemStyle: { color: inks.ground, borderColor: inks.muted, borderType: 'dashed' as const },
        data: rows.map((r) => r.shortened),
      },
    ],
  }
}

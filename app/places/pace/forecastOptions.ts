import type { CustomSeriesRenderItemAPI, CustomSeriesRenderItemParams, EChartsOption } from 'echarts'
import type { IsoDay } from '#core/base'
import type { Band } from '#core/pacing'
import { sayDate } from '~/shared/words/times'
import { isoOf } from './chartOptions'
import type { Inks } from './chartOptions'

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

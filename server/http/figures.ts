import { createHistogram, monitorEventLoopDelay } from 'node:perf_hooks'
import type { RecordableHistogram } from 'node:perf_hooks'

/** How one route was used: requests by status, and how long they took in milliseconds. */
export interface RouteFigures {
  readonly route: string
  readonly statuses: Readonly<Record<string, number>>
  readonly p50: number
  readonly p95: number
  readonly most: number
}

/** What a server says about its own work; nothing in it is about anybody. */
export interface Figures {
  readonly uptimeSeconds: number
  readonly memoryMegabytes: number
  readonly eventLoopDelay: { readonly p50: number; readonly p99: number; readonly most: number }
  readonly queues: Readonly<Record<string, number>>
  readonly routes: readonly RouteFigures[]
}

const MICROSECONDS = 1000
const NANOSECONDS = 1_000_000
const rounded = (ms: number) => Math.round(ms * 100) / 100

/** Counts requests and measures how long they and the event loop take, since the server's start. */
export function figuresOf(queues: () => Readonly<Record<string, number>>) {
  const loop = monitorEventLoopDelay({ resolution: 10 })
  loop.enable()
  const routes = new Map<string, { times: RecordableHistogram; statuses: Record<string, number> }>()

  function note(route: string, status: number, ms: number): void {
    const of = routes.get(route) ?? { times: createHistogram(), statuses: {} }
    routes.set(route, of)
    of.times.record(Math.max(1, Math.round(ms * MICROSECONDS)))
    of.statuses[status] = (of.statuses[status] ?? 0) + 1
  }

  function read(): Figures {
    const delay = (ns: number) => (Number.isFinite(ns) ? rounded(ns / NANOSECONDS) : 0)
    return {
      uptimeSeconds: Math.round(process.uptime()),
      memoryMegabytes: Math.round(process.memoryUsage().rss / 1_000_000),
      eventLoopDelay: {
        p50: delay(loop.percentile(50)),
        p99: delay(loop.percentile(99)),
        most: delay(loop.max),
      },
      queues: queues(),
      routes: [...routes].map(([route, { times, statuses }]) => ({
        route,
        statuses,
        p50: rounded(times.percentile(50) / MICROSECONDS),
        p95: rounded(times.percentile(95) / MICROSECONDS),
        most: rounded(times.max / MICROSECONDS),
      })),
    }
  }
  return { note, read }
}

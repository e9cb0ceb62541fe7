import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Forecast } from '#core/pacing'
import { forecastClient } from './forecast.client'
import type { FromForecast, ToForecast } from './forecast.protocol'

/** The worker's end of the wire, played by hand. */
class Stage {
  static last: Stage
  readonly heard: ToForecast[] = []
  ended = false
  onmessage: ((event: { readonly data: FromForecast }) => void) | null = null
  constructor() {
    Stage.last = this
  }
  postMessage(message: ToForecast): void {
    this.heard.push(message)
  }
  terminate(): void {
    this.ended = true
  }
  says(
    message:
      | Omit<Extract<FromForecast, { kind: 'progress' }>, 'v'>
      | { kind: 'done'; ask: number; forecast: Forecast },
  ): void {
    this.onmessage?.({ data: { v: 1, ...message } as FromForecast })
  }
}
const question = { runs: 10, seed: 1 } as unknown as Parameters<ReturnType<typeof forecastClient>['ask']>[0]
const named = (name: string) => ({ name }) as unknown as Forecast

describe('the forecast’s client', () => {
  beforeEach(() => vi.stubGlobal('Worker', Stage))

  it('asks, tells progress, and gives the answer', async () => {
    const client = forecastClient()
    const progress: number[] = []
    const answer = client.ask(question, (ratio) => progress.push(ratio))
    expect(Stage.last.heard).toEqual([{ v: 1, kind: 'ask', ask: 1, runs: 10, seed: 1 }])
    Stage.last.says({ kind: 'progress', ask: 1, ratio: 0.5 })
    Stage.last.says({ kind: 'done', ask: 1, forecast: named('first') })
    expect(await answer).toEqual({ name: 'first' })
    expect(progress).toEqual([0.5])
  })

  it('drops what answers an older question', async () => {
    const client = forecastClient()
    const told: number[] = []
    void client.ask(question, (ratio) => told.push(ratio))
    const second = client.ask(question, () => undefined)
    Stage.last.says({ kind: 'progress', ask: 1, ratio: 0.9 })
    Stage.last.says({ kind: 'done', ask: 1, forecast: named('stale') })
    Stage.last.says({ kind: 'done', ask: 2, forecast: named('fresh') })
    expect(await second).toEqual({ name: 'fresh' })
    expect(told).toEqual([])
  })

  it('gives up when told to, and ends its thread', () => {
    const client = forecastClient()
    void client.ask(question, () => undefined)
    client.cancel()
    expect(Stage.last.heard.at(-1)).toEqual({ v: 1, kind: 'cancel', ask: 1 })
    client.end()
    expect(Stage.last.ended).toBe(true)
  })
})

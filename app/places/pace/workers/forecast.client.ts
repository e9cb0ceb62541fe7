import type { Forecast } from '#core/pacing'
import type { ForecastAsk, FromForecast, ToForecast } from './forecast.protocol'

export interface ForecastClient {
  /** Asks; an older question that is still being worked on is given up and never answered. */
  readonly ask: (
    question: Omit<ForecastAsk, 'v' | 'kind' | 'ask'>,
    onProgress: (ratio: number) => void,
  ) => Promise<Forecast>
  readonly cancel: () => void
  readonly end: () => void
}

/** The forecast on a thread of its own. */
export function forecastClient(): ForecastClient {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' })
  let asked = 0
  let heard: ((message: FromForecast) => void) | null = null
  worker.onmessage = ({ data }: MessageEvent<FromForecast>) => {
    if (data.ask === asked) heard?.(data)
  }
  const post = (message: ToForecast) => worker.postMessage(message)
  return {
    ask: (question, onProgress) =>
      new Promise((resolve) => {
        const ask = ++asked
        heard = (message) =>
          message.kind === 'progress' ? onProgress(message.ratio) : resolve(message.forecast)
        post({ v: 1, kind: 'ask', ask, ...(JSON.parse(JSON.stringify(question)) as typeof question) })
      }),
    cancel: () => post({ v: 1, kind: 'cancel', ask: asked++ }),
    end: () => worker.terminate(),
  }
}

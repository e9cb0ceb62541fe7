import { courseOf, forecaster, paceOf, sequenceOf } from '#core/pacing'
import type { ForecastAsk, FromForecast, ToForecast } from './forecast.protocol'

const BATCH = 200
let current = 0
const say = (message: FromForecast) => self.postMessage(message)

/** Runs in batches and lets messages in between, so that a newer question or a cancel ends an older one. */
async function answer(q: ForecastAsk): Promise<void> {
  current = q.ask
  const pace = paceOf(sequenceOf(q.plan, q.pacing), q.pacing, q.calendar, q.now)
  const course = courseOf(q.plan, q.calendar.meetings, q.pacing, { terms: q.terms })
  const simulation = forecaster({
    course,
    pace,
    now: q.now,
    starts: q.calendar.meetings.map((m) => m.startsAt),
    ends: q.ends,
    seed: q.seed,
  })
  for (let done = 0; done < q.runs; done += BATCH) {
    simulation.run(Math.min(BATCH, q.runs - done))
    say({ v: 1, kind: 'progress', ask: q.ask, ratio: Math.min(1, (done + BATCH) / q.runs) })
    await new Promise((resolve) => setTimeout(resolve))
    if (current !== q.ask) return
  }
  say({ v: 1, kind: 'done', ask: q.ask, forecast: simulation.result() })
}

self.onmessage = ({ data }: MessageEvent<ToForecast>) => {
  if (data.kind === 'cancel') current = 0
  else void answer(data)
}

import type { Instant, LessonId } from '#core/base'
import type { ClassCalendar } from '#core/calendar'
import type { Term } from '#core/calendar'
import type { ClassPacing, Forecast, Plan } from '#core/pacing'

/**
 * Version 1 of what page and worker say to each other. `ask` numbers a question, so that late answers to an
 * older one are dropped.
 */
export interface ForecastAsk {
  readonly v: 1
  readonly kind: 'ask'
  readonly ask: number
  readonly runs: number
  readonly seed: number
  readonly now: Instant
  readonly plan: Plan
  readonly pacing: ClassPacing
  readonly calendar: ClassCalendar
  readonly terms: readonly Term[]
  readonly ends: readonly LessonId[]
}
export interface ForecastCancel {
  readonly v: 1
  readonly kind: 'cancel'
  readonly ask: number
}
export type ToForecast = ForecastAsk | ForecastCancel
export type FromForecast =
  | { readonly v: 1; readonly kind: 'progress'; readonly ask: number; readonly ratio: number }
  | { readonly v: 1; readonly kind: 'done'; readonly ask: number; readonly forecast: Forecast }

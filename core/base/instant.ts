import type { Brand } from './brand'

/** A moment: milliseconds since 1970-01-01T00:00Z. */
export type Instant = Brand<number, 'Instant'>
/** A span in whole or part minutes. */
export type Minutes = number

export const MINUTE_MS = 60_000

/** Brands epoch milliseconds; a value that is no finite whole number is a defect. */
export function instant(ms: number): Instant {
  if (!Number.isSafeInteger(ms)) throw new Error(`not an instant: ${ms}`)
  return ms as Instant
}

/** Reads an ISO 8601 moment with offset or Z; null for anything else. */
export function parseInstant(text: string): Instant | null {
  if (!/(Z|[+-]\d{2}:\d{2})$/.test(text)) return null
  const ms = Date.parse(text)
  return Number.isNaN(ms) ? null : (ms as Instant)
}

/** The moment `minutes` later (earlier when negative). */
export function addMinutes(at: Instant, minutes: Minutes): Instant {
  return (at + Math.round(minutes * MINUTE_MS)) as Instant
}

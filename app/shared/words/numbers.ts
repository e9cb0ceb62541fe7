import { wholePercent } from '#core/base'

const PLURALS = new Intl.PluralRules('en')

/** '1 meeting', '3 meetings'; with a verb: '1 learner has', '3 learners have'. The one place for plurals. */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${n} ${PLURALS.select(n) === 'one' ? one : many}`
}

/** '82 %'. */
export function percent(ratio: number): string {
  return `${wholePercent(ratio)} %`
}

/**
 * Half meetings as meetings: '1½', '½', '2'; '−1½' below nothing; other fractions (of lessons in minutes) to
 * a tenth.
 */
export function meetingsOf(halves: number): string {
  if (halves < 0) return `−${meetingsOf(-halves)}`
  if (!Number.isInteger(halves)) return String(Math.round(halves * 5) / 10)
  const whole = Math.floor(halves / 2)
  return halves % 2 === 0 ? String(whole) : whole === 0 ? '½' : `${whole}½`
}

/** '1½ meetings', '½ meeting', '1 meeting'. */
export function sayMeetings(halves: number): string {
  return `${meetingsOf(halves)} ${halves <= 2 ? 'meeting' : 'meetings'}`
}

/** A size in bytes: '640 kB', '2.4 MB'. */
export function saySize(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`
  return `${(bytes / 1_000_000).toFixed(1)} MB`
}

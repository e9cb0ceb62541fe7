import type { SkippedEvent } from '#core/formats'

/** Why an event of a calendar closes no day, behind its name. */
export const SKIPPED_WORDS: Record<SkippedEvent['because'], string> = {
  'not-all-day': 'has a clock time, so it closes no day',
  'outside-year': 'lies outside the school year',
  'no-date': 'has no readable date',
  'bad-date': 'has a date that does not exist or is written wrongly',
  'repeats-too-often': 'repeats too often',
  cancelled: 'is cancelled',
  'unknown-zone': 'is in a time zone we do not know',
  task: 'is a task, which closes nothing',
}

/** The first events that were left out, each with the reason, as sentences. */
export function saySkipped(skipped: readonly SkippedEvent[], most = 3): string {
  return skipped
    .slice(0, most)
    .map((s) => `“${s.name}” ${SKIPPED_WORDS[s.because]}.`)
    .join(' ')
}

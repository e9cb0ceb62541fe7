import type { OutlineFault, RosterFault, SkippedEvent } from '#core/formats'

export const ROSTER_FAULT_WORDS: Record<RosterFault, string> = {
  'no-name': 'has no name', 'name-too-long': 'the name is longer than 80 characters', 'same-twice': 'this name stands here twice', 'bad-sign-in': 'the sign-in name has other signs than letters, digits, dots or dashes', 'sign-in-twice': 'this sign-in name stands here twice',
}
export const OUTLINE_FAULT_WORDS: Record<OutlineFault, string> = {
  'no-lesson': 'has no lesson title', 'no-unit': 'has no unit, and none stands above it', 'not-meetings': 'the length is not a whole or half number of meetings from ½ to 40', 'minutes-not-meetings': 'lengths in minutes are not possible yet; give meetings',
}
export const SKIPPED_WORDS: Record<SkippedEvent['because'], string> = {
  'not-all-day': 'has a clock time, so it closes no day', 'outside-year': 'lies outside the school year', 'no-date': 'has no readable date', 'repeats-too-often': 'repeats too often', 'cancelled': 'is cancelled', 'unknown-zone': 'is in a time zone we do not know',
}

import { assertNever } from '#core/base'
import type { IsoDay } from '#core/base'
import type { Target } from '#core/audience'
import type { LaidRow, NotReleased, Overlap, SeriesRule } from '#core/series'
import type { ClassSeries, ReleasedRow } from '#shared/contracts/series'
import { count } from '~/shared/words/numbers'
import { sayDay, WEEKDAY_WORDS } from '~/shared/words/times'

const NOT_RELEASED: Record<NotReleased, string> = {
  'no-day': 'it has no first or last day',
  'past-the-year': 'its turn comes after the year',
  'ends-first': 'it ends before it opens',
}

/** How a row stands: 'released · 26 have it, 3 begun', 'ready to release', 'not released: it has no last day'. */
export function sayRow(laid: LaidRow, released: ReleasedRow | undefined): string {
  if (released) {
    const begun = released.begun > 0 ? `, ${released.begun} begun` : ''
    return `${released.state === 'held' ? 'held, ' : ''}${released.learners} have it${begun}`
  }
  return laid.why === null ? 'ready to release' : `not released: ${NOT_RELEASED[laid.why]}`
}

/** 'every 2 meetings from Mon 5 Oct', 'every Monday from Mon 5 Oct', 'each by its own dates'. */
export function sayRule(rule: SeriesRule): string {
  switch (rule.kind) {
    case 'meetings':
      return rule.every === 1
        ? `every meeting from ${sayDay(rule.from)}`
        : `every ${rule.every} meetings from ${sayDay(rule.from)}`
    case 'weekly': {
      const weekday = WEEKDAY_WORDS[rule.weekday - 1] ?? ''
      return rule.every === 1
        ? `every ${weekday} from ${sayDay(rule.from)}`
        : `every ${rule.every} weeks on ${weekday} from ${sayDay(rule.from)}`
    }
    case 'explicit':
      return 'each row by its own dates'
    default:
      return assertNever(rule)
  }
}

/** 'everybody', a group's or a learner's name. */
export function sayTarget(target: Target, of: Pick<ClassSeries, 'groups' | 'learners'>): string {
  switch (target.kind) {
    case 'class':
      return 'everybody'
    case 'group':
      return of.groups.find((g) => g.id === target.groupId)?.name ?? 'a group that is gone'
    case 'learner':
      return of.learners.find((l) => l.id === target.learnerId)?.name ?? 'a learner who has left'
    default:
      return assertNever(target)
  }
}

/** 'Rows 3 and 4 are both open on Mon 12 Oct (Bo Mensah).' */
export function sayOverlap(
  overlap: Overlap,
  rows: readonly { readonly id: string }[],
  of: Pick<ClassSeries, 'groups' | 'learners'>,
): string {
  const at = (id: string) => rows.findIndex((r) => r.id === id) + 1
  const who = overlap.target ? ` (${sayTarget(overlap.target, of)})` : ''
  return `Rows ${at(overlap.first)} and ${at(overlap.second)} are both open on ${sayDay(overlap.on)}${who}.`
}

/** 'Mon 5 Oct – Sun 11 Oct · 2 meetings'. */
export function sayDays(
  { opensOn, throughOn }: { readonly opensOn: IsoDay; readonly throughOn: IsoDay },
  meetingDays: readonly IsoDay[],
): string {
  const meetings = meetingDays.filter((d) => d >= opensOn && d <= throughOn).length
  return `${sayDay(opensOn)} – ${sayDay(throughOn)} · ${count(meetings, 'meeting')}`
}

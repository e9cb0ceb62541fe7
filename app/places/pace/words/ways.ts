import { PRICES } from '#core/pacing'
import type { BadDay, LayoutFinding, NotPlaced, PlanLesson, Way } from '#core/pacing'
import { assertNever } from '#core/base'
import { meetingsOf } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'

/** The five ways out, with what each does. */
export const WAY_WORDS: Record<Way, { readonly name: string; readonly about: string }> = {
  'push-on': { name: 'Push on', about: 'All later lessons move, fixed dates too; slack stays.' },
  'use-slack': { name: 'Use slack', about: 'Fixed dates stay; free meetings and buffers are eaten.' },
  tighten: { name: 'Tighten', about: 'The cheapest shortenings win the time back.' },
  'let-go': { name: 'Let go', about: 'The cheapest optional lessons are left out.' },
  hold: { name: 'Hold', about: 'Every date stays; what lost its time is not covered.' },
}

export const BAD_DAY_WORDS: Record<BadDay, string> = {
  short: 'on a short day',
  'after-break': 'right after a break',
  'across-break': 'parted by a break',
}

/** An amount in a lesson's own unit: '1½' meetings or '45 min'. */
export function sayAmount(unit: PlanLesson['length']['unit'], amount: number): string {
  return unit === 'minutes' ? `${amount} min` : meetingsOf(amount)
}

/** Why a lesson has no place. */
export function sayNotPlaced(because: NotPlaced, name: (id: string) => string): string {
  switch (because.why) {
    case 'year-full':
      return (
        `does not fit: needs ${meetingsOf(because.needHalves)} meetings, ${meetingsOf(because.freeHalves)} ` +
        'are left in the year'
      )
    case 'part-full':
      return (
        `does not fit into its part of the plan: needs ${meetingsOf(because.needHalves)} ` +
        `meetings, ${meetingsOf(because.freeHalves)} are left`
      )
    case 'before-fixed':
      return (
        `does not fit before ${name(because.lessonId)}, which is fixed: needs ${meetingsOf(because.needHalves)} ` +
        `meetings, ${meetingsOf(because.freeHalves)} are left`
      )
    case 'after-one-that-does-not-fit':
      return `comes after ${name(because.lessonId)}, which does not fit`
    case 'let-go':
      return 'left out in this class'
    case 'not-covered':
      return 'not covered: its time was lost'
    case 'not-ours':
      return 'over before the plan began in this class'
    default:
      return assertNever(because)
  }
}

/** What is noteworthy about where a lesson lies. */
export function sayFinding(finding: LayoutFinding): string {
  switch (finding.code) {
    case 'fixed-date-missed':
      return `Fixed on ${sayDay(finding.wantedOn)}, but the class gets to it on ${sayDay(finding.on)}.`
    case 'no-meeting-on-fixed-date':
      return (
        `The class does not meet on ${sayDay(finding.wantedOn)}; it lies on its ` +
        `next meeting, ${sayDay(finding.on)}.`
      )
    case 'recorded-without-meeting':
      return `Recorded on ${sayDay(finding.on)}, which is no longer a meeting of the class. What happened stays.`
    case 'waits-after-break':
      return `It may not start right after a break, so the meeting on ${sayDay(finding.on)} stays free.`
    default:
      return assertNever(finding)
  }
}

/** Drift with its sign: '+1½', '−4', '0'. */
export function sayDrift(meetings: number): string {
  const halves = Math.round(Math.abs(meetings) * 2)
  return halves === 0 ? '0' : `${meetings > 0 ? '+' : '−'}${meetingsOf(halves)}`
}

/** What cuts cost, as counted by fits and ways out. */
export const COST_OF_CUTS =
  `Cost: meetings taken from a lesson (optional ${PRICES.optional}, useful ` +
  `${PRICES.useful}, core ${PRICES.core} each; catch-up time ${PRICES.buffer}), ` +
  `${PRICES.omission} for every lesson left out`

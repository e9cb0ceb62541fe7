import { groupBy, wholePercent } from '#core/base'
import type { Instant, UserId } from '#core/base'
import { NO_STANDARD } from '#core/followUp'
import type { Became, FollowUpPiece, Proposal, Unanswered } from '#core/followUp'
import type { NamedLearner } from '#shared/contracts/followUp'
import { sayList } from '~/shared/words/lists'
import { count, percent } from '~/shared/words/numbers'
import { sayPiece } from '~/shared/words/pieces'
import { sayDay, zoneNamed } from '~/shared/words/times'

export const REACH_ITEMS = [
  { value: 'level', label: 'On what was missed' },
  { value: 'back', label: 'Back to what it needs' },
] as const

/** A standard by its code, or what has none. */
export function sayCode(code: string): string {
  return code === NO_STANDARD ? 'Questions without a standard' : code
}

/** Why a learner is proposed a piece: 'missed 3 of 4, and 1 of 2 on TH.8.W.4 · as the guide says'. */
export function sayReason(
  { code, answers, because, via }: Pick<Proposal, 'code' | 'answers' | 'because' | 'via'>,
  { on, since, standings }: Pick<NamedLearner, 'on' | 'since' | 'standings'>,
): string {
  const missedOn = (of: string) => {
    const again = since.find((o) => o.code === of)
    const own = again ?? on.find((o) => o.code === of)
    return own ? `${own.missed} of ${own.items}${again ? ' since' : ''}` : ''
  }
  if (because === 'further') return 'missed nothing that matters'
  const others = answers.filter((a) => a !== code).map((a) => `${missedOn(a)} on ${sayCode(a)}`)
  const missed = `missed ${[missedOn(code), ...others].join(', and ')}`
  if (because === 'guide') return `${missed} · as the guide says`
  const share = via === null ? undefined : standings[via]
  return share === undefined ? missed : `${missed} · it needs ${via}, ${percent(share)} there`
}

/** A piece as a choice: its title, and what it is. */
export function sayChoice(piece: FollowUpPiece): string {
  return `${piece.title} · ${sayPiece(piece)}`
}

const WHY_NOT: Readonly<Record<Unanswered['why'], string>> = {
  'nothing-serves': 'the shelf has nothing on it',
  'has-all': 'they have all there is on it',
  'enough-pieces': 'it would be more pieces than you give',
  'enough-minutes': 'it would be more minutes than they may have',
}

/** What is missed and not answered, each with why, what concerns most first. */
export function sayUnanswered(
  unanswered: readonly Unanswered[],
  nameOf: (id: UserId) => string,
): readonly string[] {
  return [...groupBy(unanswered, (u) => `${u.code} ${u.why}`).values()]
    .toSorted((a, b) => b.length - a.length)
    .flatMap((of) => {
      const [first] = of
      if (!first) return []
      const names = sayList(of.map((u) => nameOf(u.learnerId)))
      return [`${sayCode(first.code)}: ${WHY_NOT[first.why]} (${names}).`]
    })
}

/** Why there is no row. */
export function sayNothingProposed(unanswered: number, earlier: number): string {
  if (unanswered > 0) return 'Nothing more can be proposed: why is said below.'
  return earlier > 0
    ? 'Everybody was given something for what they missed. What became of it stands below.'
    : 'Nobody missed anything that matters.'
}

/** What became of a standard: 'TH.8.W.3: 5 of 6 tried again, 38 % → 71 %; 1 still below 60 %'. */
export function sayBecame({ code, given, again, before, since, stillLow }: Became): string {
  if (again === 0 || before === null || since === null)
    return `${sayCode(code)}: none of ${given} has answered questions on it since`
  const change = `${wholePercent(before)} % → ${wholePercent(since)} %`
  const low = stillLow > 0 ? `; ${stillLow} still below 60 %` : ''
  return `${sayCode(code)}: ${again} of ${given} tried again, ${change}${low}`
}

/** The next meetings as choices of when something opens or is due: 'Tue 24 Nov, the 2nd meeting'. */
export function meetingItems(meetings: readonly Instant[], zone: string) {
  return meetings.map((at, i) => {
    const day = sayDay(zoneNamed(zone).local(at).on)
    return {
      value: String(i + 1),
      label: i === 0 ? `${day}, the next meeting` : `${day}, in ${i + 1} meetings`,
    }
  })
}

/** 'Give 24 pieces to 22 learners'. */
export function sayGive(pieces: number, learners: number): string {
  return pieces === learners
    ? `Give ${count(learners, 'learner')} a piece`
    : `Give ${count(pieces, 'piece')} to ${count(learners, 'learner')}`
}

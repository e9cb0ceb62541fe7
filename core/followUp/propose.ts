import type { ResourceId } from '../base'
import { bandOf } from '../evidence'
import { candidatesFor } from './candidates'
import type { Candidate } from './candidates'
import { missedOf, standingNow } from './missed'
import type {
  Because,
  FollowUp,
  FollowUpGround,
  FollowUpLearner,
  FollowUpTerms,
  OnStandard,
  Proposal,
  Unanswered,
} from './types'

/**
 * What each learner is given after a check: for what they missed, the surest weakness first, a piece that they do not
 * have, as long as they may be given more and can carry it. One piece answers everything missed that it serves.
 * Everything missed is answered or reported; who missed nothing may be given what goes further.
 */
export function proposeFollowUp(
  learners: readonly FollowUpLearner[],
  ground: FollowUpGround,
  terms: FollowUpTerms,
): FollowUp {
  const each = learners.map((learner) => forLearner(learner, ground, terms))
  return {
    proposals: each.flatMap((told) => told.proposals),
    unanswered: each.flatMap((told) => told.unanswered),
  }
}

/** Pieces for one purpose, with why they would be given. */
interface Way {
  readonly found: readonly Candidate[]
  readonly because: Because | null
  readonly via: string | null
}

function forLearner(learner: FollowUpLearner, ground: FollowUpGround, terms: FollowUpTerms): FollowUp {
  const proposals: Proposal[] = []
  const unanswered: Unanswered[] = []
  const has = new Set(learner.hasIds)
  let minutes = learner.minutesDue
  const missed = missedOf(standingNow(learner))
  // who missed something goes further when that is made up for
  const hasMissed = missedOf(learner.on).length > 0
  const goals = hasMissed || !terms.extend ? missed : strongest(learner.on)
  for (const goal of goals) {
    if (proposals.some((p) => p.answers.includes(goal.code))) continue
    const way = wayTo(goal, learner, ground, terms)
    const free = way.found.filter((c) => !has.has(c.piece.id))
    const fits = free.find(
      ({ piece }) => terms.mostMinutes === null || minutes + piece.minutes <= terms.mostMinutes,
    )
    if (proposals.length >= terms.most || !fits) {
      const why = whyNot(way.found.length, free.length, proposals.length >= terms.most)
      // what goes further is an offer: nobody misses it
      if (hasMissed) unanswered.push({ learnerId: learner.id, code: goal.code, why })
      continue
    }
    has.add(fits.piece.id)
    minutes += fits.piece.minutes
    const alsoServed = missed.filter(({ code }) => code !== goal.code && fits.piece.standards.includes(code))
    const open = alsoServed.filter(({ code }) => !proposals.some((p) => p.answers.includes(code)))
    proposals.push({
      learnerId: learner.id,
      code: goal.code,
      answers: [goal.code, ...open.map((o) => o.code)],
      pieceId: fits.piece.id,
      because: way.because ?? fits.because,
      via: way.via,
      choices: free.map((c) => c.piece.id),
    })
    if (!hasMissed) break
  }
  const answered = new Set(proposals.flatMap((p) => p.answers))
  // a later piece may serve what an earlier one was missing for
  return { proposals, unanswered: unanswered.filter((u) => !answered.has(u.code)) }
}

function whyNot(serving: number, free: number, isFull: boolean): Unanswered['why'] {
  if (serving === 0) return 'nothing-serves'
  if (free === 0) return 'has-all'
  return isFull ? 'enough-pieces' : 'enough-minutes'
}

/** The standard itself; or, where it shall reach back, the nearest that it needs and on which the learner is weak. */
function wayTo(
  goal: OnStandard,
  learner: FollowUpLearner,
  ground: FollowUpGround,
  terms: FollowUpTerms,
): Way {
  const band = bandOf(goal.share)
  if (band === 'high') return { found: candidatesFor(goal.code, band, ground), because: 'further', via: null }
  const via = terms.reach === 'back' && band === 'low' ? weakBefore(goal.code, learner, ground) : null
  if (via !== null) return { ...via, because: 'before' }
  return { found: candidatesFor(goal.code, band, ground), because: null, via: null }
}

/** The nearest earlier standard on which a learner is weak and for which there is something they do not have. */
function weakBefore(
  code: string,
  learner: FollowUpLearner,
  ground: FollowUpGround,
): (Pick<Way, 'found'> & { readonly via: string }) | null {
  const seen = new Set([code])
  const has = new Set<ResourceId>(learner.hasIds)
  const asked = new Set(learner.on.map((o) => o.code))
  let step = [code]
  while (step.length > 0) {
    step = step.flatMap((at) => ground.requires[at] ?? []).filter((before) => !seen.has(before))
    for (const before of step) {
      if (seen.has(before)) continue
      seen.add(before)
      const share = learner.standings[before]
      // what the check asked for is answered by itself
      if (share === undefined || bandOf(share) !== 'low' || asked.has(before)) continue
      const found = candidatesFor(before, 'low', ground)
      if (found.some((c) => !has.has(c.piece.id))) return { found, via: before }
    }
  }
  return null
}

/** What they were asked for, the surest first: from there one goes further. */
function strongest(on: readonly OnStandard[]): readonly OnStandard[] {
  return on.toSorted((a, b) => b.share - a.share || b.items - a.items)
}

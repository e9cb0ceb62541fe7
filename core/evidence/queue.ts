import { pointsByCriteria } from '../attempts'
import type { Levels } from '../attempts'
import type { AnswerToScore, ScoreDraft } from './answerToScore'

/** How far an answer is: nothing given; some of it; all of it, not released; its learner has it. */
export type ScoringState = 'waits' | 'begun' | 'scored' | 'released'

/** What is given for an answer just now, released or not. */
export type ScoreGiven = Pick<ScoreDraft, 'levels' | 'comment' | 'again'>

/** What stands for an answer: what was given and not released, else what was released, else nothing. */
export function givenFor(answer: AnswerToScore): ScoreGiven {
  const { draft, criteria, levels, points, comment } = answer
  if (draft) return { levels: draft.levels, comment: draft.comment, again: draft.again }
  const whole = criteria.length === 1 && points !== null ? [points] : null
  const none: Levels = criteria.map(() => null)
  return { levels: levels ?? whole ?? none, comment, again: false }
}

/** The points that stand for an answer; null while a criterion is open. */
export function pointsGiven(answer: AnswerToScore): number | null {
  if (answer.draft === null) return answer.points
  return pointsByCriteria(answer.criteria, answer.draft.levels, answer.item.points)
}

/** How far an answer is. */
export function scoringState(answer: AnswerToScore): ScoringState {
  if (answer.draft === null) return answer.points === null ? 'waits' : 'released'
  return pointsGiven(answer) === null ? 'begun' : 'scored'
}

/**
 * Where to go on from place `at`: the next answer that is not scored, from there to the end and then from the
 * beginning; null when all are.
 */
export function nextToScore(answers: readonly AnswerToScore[], at: number): number | null {
  const order = answers.map((_, i) => (at + 1 + i) % answers.length)
  const open = order.find((i) => {
    const answer = answers[i]
    return answer !== undefined && ['waits', 'begun'].includes(scoringState(answer))
  })
  return open ?? null
}

import { seededRandom } from '#core/base'
import type { ItemId, Random } from '#core/base'
import type { Answer, Item } from '#core/library'
import { exampleAnswer } from './exampleAnswers'

/** A made-up learner: how able, how diligent, how quick. */
export interface SimulatedLearner {
  /** About −2 to 2; 0 is the middle of a class. */
  readonly ability: number
  /** Chance to do a piece at all before it closes. */
  readonly diligenceRatio: number
  readonly random: Random
}

/** A learner drawn from a seed; the same seed gives the same person. */
export function simulatedLearner(seed: number): SimulatedLearner {
  const random = seededRandom(seed)
  const ability = (random() + random() + random() + random() - 2) * 1.7
  return { ability, diligenceRatio: Math.min(0.99, 0.86 + 0.07 * ability + 0.08 * random()), random }
}

/**
 * Chance of a right answer: a logistic curve over ability and difficulty (1 to 5), with `practice` for later
 * tries.
 */
export function chanceRight(
  learner: Pick<SimulatedLearner, 'ability'>,
  difficulty: number,
  practice = 0,
): number {
  return 1 / (1 + Math.exp(-(1.25 + 1.15 * learner.ability + 0.6 * practice - 0.62 * (difficulty - 2))))
}

/** What the learner would answer, by the items' keys; now and then nothing at all. */
export function simulatedAnswers(
  learner: SimulatedLearner,
  items: readonly Item[],
  practice = 0,
): ReadonlyMap<ItemId, Answer> {
  const answers = new Map<ItemId, Answer>()
  for (const item of items) {
    if (learner.random() < 0.025) continue
    answers.set(
      item.id,
      exampleAnswer(item, learner.random() < chanceRight(learner, item.difficulty, practice), learner.random),
    )
  }
  return answers
}

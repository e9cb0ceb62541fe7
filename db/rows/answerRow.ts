import type { AttemptScore } from '#core/attempts'
import type { Answer } from '#core/library'
import type { ItemId } from '#core/base'
import { answerShape, itemIdsShape, scoreBody } from './bodies'
import { parse, readShape } from './body'

/** One answer as stored text. */
export function answerToText(value: Answer): string {
  return JSON.stringify(value)
}

/** The answer in a stored text. */
export function textToAnswer(text: string): Answer {
  return readShape(answerShape, parse(text, 'answers.value'), 'answers.value')
}

/** A score as stored text. */
export function scoreToText(value: AttemptScore): string {
  return scoreBody.print(value)
}

/** The score in a stored text. */
export function textToScore(text: string): AttemptScore {
  return scoreBody.read(text)
}

/** The score in a stored text that was taken apart with others. */
export function storedToScore(stored: Readonly<Record<string, unknown>>): AttemptScore {
  return scoreBody.take(stored)
}

/** The items chosen for a try as stored text. */
export function itemIdsToText(ids: readonly ItemId[]): string {
  return JSON.stringify(ids)
}

/** The items chosen for a try in a stored text. */
export function textToItemIds(text: string): readonly ItemId[] {
  return readShape(itemIdsShape, parse(text, 'attempts.items'), 'attempts.items')
}

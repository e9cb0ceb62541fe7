import type { AttemptScore } from '#core/attempts'
import type { Answer } from '#core/library'
import { printBody, readBody } from './body'
import { answer, score } from './shapes'

/** One answer as stored text. */
export function answerToText(value: Answer): string {
  return JSON.stringify(value)
}

/** The answer in a stored text. */
export function textToAnswer(text: string): Answer {
  return readBody(answer, text, 'answers.value')
}

/** A score as stored text. */
export function scoreToText(value: AttemptScore): string {
  return printBody(value)
}

/** The score in a stored text. */
export function textToScore(text: string): AttemptScore {
  const { v: _, ...rest } = readBody(score, text, 'attempts.score')
  return rest
}

import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { AttemptId, UserId } from '#core/base'
import type { AnswerToScore } from '#core/evidence'
import { extended } from '../../../tests/support/made'
import { figuresAsTable, figuresIn, sayFigures } from './textFigures'

const TEXT = 'The wave moves on. The water stays, because only energy is carried.\nSo the cork stays, too.'
const answer = (text: string): AnswerToScore => ({
  attemptId: asId<AttemptId>('t'),
  learnerId: asId<UserId>('l'),
  name: 'Ann Ash',
  number: 1,
  itemId: extended('8').id,
  item: extended('8'),
  answer: { kind: 'extended', text },
  otherTask: null,
  filledIn: [],
  organisers: [],
  files: [],
  expected: ['energy', 'medium'],
  criteria: [],
  levels: null,
  draft: null,
  points: 3,
  comment: '',
})

describe('figures of a text that was handed in', () => {
  it('stand in a line, with the formula by its name', () => {
    const figures = figuresIn(answer(TEXT))
    expect(figures && sayFigures(figures)).toBe(
      '17 words · 2 paragraphs · 5.7 words a sentence · 1 of 2 expected words',
    )
    const long = figuresIn(answer(`${TEXT} ${TEXT}`))
    expect(long && sayFigures(long)).toMatch(/ · reads like grade \d(?:\.\d)? \(Flesch–Kincaid\)$/)
  })

  it('are a table for all', () => {
    expect(figuresAsTable([answer(TEXT)])[1]).toEqual([
      'Ann Ash',
      '1',
      '17',
      '3',
      '2',
      '5.7',
      'energy',
      'medium',
      '',
      '3',
    ])
  })
})

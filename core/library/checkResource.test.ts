import { describe, expect, it } from 'vitest'
import { aCheck, multiple, numeric, single, text } from '../../tests/support/made'
import { checkResource, countByKind } from './checkResource'
import { cardOfKind, hasRules, kindsThat } from './resourceCards'
import type { Item } from './kinds'
import type { Resource } from './types'

const codeOf = (items: readonly Item[], part: Partial<Resource> = {}) =>
  checkResource(aCheck(items, part)).error?.code

describe('checkResource', () => {
  it('accepts a check whose items can all be answered', () => {
    expect(checkResource(aCheck([single('1'), multiple('2'), numeric('3'), text('4')])).ok).toBe(true)
  })

  it('wants each item once', () => {
    expect(checkResource(aCheck([single('1'), single('2'), single('1')])).error).toEqual({
      code: 'library/same-item-twice',
      field: 'items',
      item: 3,
    })
  })

  it('wants items for what is scored, none for a reading', () => {
    expect(codeOf([])).toBe('library/no-items')
    expect(codeOf([], { kind: 'reading' })).toBeUndefined()
    expect(kindsThat((card) => card.isScored)).toEqual(['practice-set', 'check', 'test'])
  })

  it.each<[string, Item]>([
    ['library/too-few-options', single('1', { options: [{ id: 'b', text: 'x' }] })],
    [
      'library/too-few-options',
      single('1', {
        options: [
          { id: 'a', text: ' ' },
          { id: 'b', text: 'x' },
        ],
      }),
    ],
    [
      'library/same-option-twice',
      single('1', {
        options: [
          { id: 'a', text: 'Yes' },
          { id: 'b', text: 'yes ' },
        ],
      }),
    ],
    ['library/no-right-answer', single('1', { right: 'z' })],
    ['library/no-right-answer', multiple('1', { right: [] })],
    ['library/no-right-answer', numeric('1', { value: Number.NaN })],
    ['library/bad-tolerance', numeric('1', { tolerance: -1 })],
    ['library/no-right-answer', text('1', { accepted: [' '] })],
    ['library/bad-points', single('1', { points: 0 })],
    ['library/bad-points', single('1', { points: 101 })],
  ])('refuses with %s', (code, item) => {
    expect(checkResource(aCheck([single('0'), item])).error).toMatchObject({ code, item: 2 })
  })

  it('wants a short code of one word', () => {
    for (const code of ['', 'a', 'two words', 'x'.repeat(17), 'a-b'])
      expect(codeOf([single('1')], { code })).toBe('library/bad-code')
  })

  it('counts items by kind', () => {
    expect(countByKind([single('1'), single('2'), text('3')])).toMatchObject({
      single: 2,
      multiple: 0,
      numeric: 0,
      text: 1,
    })
  })
})

describe('what sets a kind of piece apart', () => {
  it('gives rules something to hold on to wherever there is something to answer, be it in a reading', () => {
    expect([hasRules({ itemCount: 0 }), hasRules({ itemCount: 1 })]).toEqual([false, true])
  })

  it('keeps checks, tests, texts and copies out of practice of one’s own choice', () => {
    expect(kindsThat((card) => !card.isForPractice)).toEqual([
      'check',
      'test',
      'writing-task',
      'page',
      'project',
      'file',
    ])
  })

  it('says of each kind which rules are like its own', () => {
    expect(cardOfKind('writing-task').rulesLike).toBe('text')
    expect(kindsThat((card) => card.rulesLike === 'test')).toEqual(['test'])
  })
})

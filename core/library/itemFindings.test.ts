import { describe, expect, it } from 'vitest'
import { blanks, extended, multiple, numeric, ordering, single, text } from '../../tests/support/made'
import { findingsIn } from './itemFindings'
import type { Item } from './kinds'

const codesIn = (item: Item) => findingsIn({ ...item, standard: 'TH.8.W.1' }).map((f) => f.code)

describe('a second look at a question', () => {
  it('finds nothing in good ones', () => {
    for (const item of [single('1'), multiple('1'), numeric('1'), text('1'), ordering('1'), extended('1')])
      expect(codesIn(item)).toEqual([])
  })

  it.each<[string, Item]>([
    ['no-stem', single('1', { stem: ' ' })],
    ['no-feedback', single('1', { feedback: '' })],
    ['exact-fraction', numeric('1', { tolerance: 0 })],
    ['all-right', multiple('1', { right: ['a', 'b', 'c', 'd'] })],
    ['stem-tells-answer', text('1', { stem: 'It returns to its resting place. What is that?' })],
    ['stem-tells-answer', blanks('1', { stem: 'Energy or matter?' })],
    ['no-guide', extended('1', { guide: '' })],
    [
      'right-is-longest',
      single('1', {
        options: [
          { id: 'a', text: 'Nothing' },
          { id: 'b', text: 'The energy moves along while the water stays where it is' },
        ],
      }),
    ],
  ])('finds %s', (code, item) => {
    expect(codesIn(item)).toContain(code)
  })

  it('misses a standard', () => {
    expect(findingsIn(single('1')).map((f) => f.code)).toEqual(['no-standard'])
  })

  it('lets whole numbers be exact', () => {
    expect(codesIn(numeric('1', { value: 3, tolerance: 0 }))).toEqual([])
  })
})

import { describe, expect, it } from 'vitest'
import { dayIn, given, idIn, textIn, withValues } from './query'

const query = { for: '', class: 'c-8', on: '2026-09-14', bad: 'a b', many: ['x', 'y'], alone: null }

describe('what stands in an address', () => {
  it('is told from what does not, even where it is empty', () => {
    const texts = ['for', 'class', 'gone', 'many', 'alone'].map((name) => textIn(query, name))
    expect(texts).toEqual(['', 'c-8', null, null, null])
  })

  it('is an id or a day where it can be one, and nothing else is taken for one', () => {
    expect(['class', 'bad', 'for', 'gone'].map((name) => idIn(query, name))).toEqual([
      'c-8',
      null,
      null,
      null,
    ])
    expect(['on', 'class', 'for', 'gone'].map((name) => dayIn(query, name))).toEqual([
      '2026-09-14',
      null,
      null,
      null,
    ])
  })

  it('changes value by value: an empty one stays, what is null goes', () => {
    const chosen = { for: 'class a', from: '2026-09-07' }
    expect(withValues(chosen, { for: '', from: null, through: '2026-09-18' })).toEqual({
      for: '',
      through: '2026-09-18',
    })
    expect(withValues(chosen, {})).toEqual(chosen)
    expect(given({ class: 'b', series: undefined })).toEqual({ class: 'b' })
  })
})

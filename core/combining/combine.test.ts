import { describe, expect, it } from 'vitest'
import { combine } from './combine'
import type { Parts } from './types'

interface Plan {
  readonly title: string
  readonly window: { readonly opens: string | null; readonly due: string | null }
  readonly rows: readonly { readonly id: string; readonly on: number }[]
  readonly ids: readonly string[]
  readonly note?: string
}
const PARTS: Parts<Plan> = {
  title: 'whole',
  window: 'fields',
  rows: { nameOf: (row) => row.id },
  ids: { nameOf: (id) => id },
  note: 'whole',
}
const SEEN: Plan = {
  title: 'Waves',
  window: { opens: 'Mon', due: 'Fri' },
  rows: [
    { id: 'a', on: 1 },
    { id: 'b', on: 2 },
  ],
  ids: ['noa', 'bo'],
}
const between = (mine: Partial<Plan>, theirs: Partial<Plan>) =>
  combine(PARTS, { seen: SEEN, mine: { ...SEEN, ...mine }, theirs: { ...SEEN, ...theirs } })

describe('two changes of one value', () => {
  it('stand beside each other where they are about different parts', () => {
    const { value, clashes, taken } = between(
      { title: 'Sound' },
      { window: { opens: 'Mon', due: 'Thu' }, note: 'n' },
    )
    expect(value).toEqual({ ...SEEN, title: 'Sound', window: { opens: 'Mon', due: 'Thu' }, note: 'n' })
    expect(clashes).toEqual([])
    expect(taken.map((t) => t.id)).toEqual(['window/due', 'note'])
  })

  it('of one field and another stand beside each other', () => {
    const { value } = between(
      { window: { opens: 'Tue', due: 'Fri' } },
      { window: { opens: 'Mon', due: null } },
    )
    expect(value.window).toEqual({ opens: 'Tue', due: null })
  })

  it('clash where both made something else of the same, and stand as it was chosen', () => {
    const three = {
      seen: SEEN,
      mine: { ...SEEN, title: 'Mine', window: { opens: 'Mon', due: 'Wed' } },
      theirs: { ...SEEN, title: 'Theirs', window: { opens: 'Mon', due: null } },
    }
    const { clashes, value } = combine(PARTS, three)
    expect(clashes).toEqual([
      { id: 'title', part: 'title', name: null, mine: 'Mine', theirs: 'Theirs' },
      { id: 'window/due', part: 'window', name: 'due', mine: 'Wed', theirs: null },
    ])
    expect(value.title).toBe('Mine')
    const chosen = combine(PARTS, three, new Map([['window/due', 'theirs']]))
    expect([chosen.value.title, chosen.value.window.due]).toEqual(['Mine', null])
  })

  it('do not clash where both did the same', () => {
    const { clashes, taken } = between({ title: 'Sound' }, { title: 'Sound' })
    expect([clashes, taken]).toEqual([[], []])
  })

  it('of lists add and take out both, and keep what each put in its place', () => {
    const { value, clashes } = between(
      { ids: ['noa', 'bo', 'ines'], rows: [{ id: 'a', on: 1 }] },
      {
        ids: ['bo'],
        rows: [
          { id: 'c', on: 9 },
          { id: 'a', on: 5 },
          { id: 'b', on: 2 },
        ],
      },
    )
    expect(value.ids).toEqual(['bo', 'ines'])
    expect(value.rows).toEqual([
      { id: 'c', on: 9 },
      { id: 'a', on: 5 },
    ])
    expect(clashes).toEqual([])
  })

  it('clash where one takes out what the other changed', () => {
    const { clashes } = between({ rows: [{ id: 'a', on: 1 }] }, { rows: [SEEN.rows[0]!, { id: 'b', on: 7 }] })
    expect(clashes).toEqual([
      { id: 'rows/b', part: 'rows', name: 'b', mine: undefined, theirs: { id: 'b', on: 7 } },
    ])
  })

  it('keep the order of who changed it', () => {
    const turned = [...SEEN.ids].reverse()
    expect(between({ ids: turned }, { ids: ['noa', 'bo', 'ines'] }).value.ids).toEqual(['bo', 'ines', 'noa'])
    expect(between({ ids: ['noa', 'bo', 'ines'] }, { ids: turned }).value.ids).toEqual(['bo', 'ines', 'noa'])
  })
})

import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ClassId } from '#core/base'
import { draftOf, filingIn, movedRow, renamedIn } from './filingDraft'

const filing = { headings: ['Tests', 'Practice'], categories: [{ name: 'Checks', weight: 60, most: null }] }
const page = {
  classId: asId<ClassId>('7e'),
  name: 'Science 7 E',
  version: 1,
  mayChange: true,
  filing,
  headings: [],
  categories: [],
}

describe('headings and categories as they are edited', () => {
  it('come back as they were while nothing is changed', () => {
    expect(filingIn(draftOf(page))).toEqual(filing)
    expect(renamedIn(draftOf(page))).toEqual([])
  })
  it('tell which names were changed, and move up and down within their list', () => {
    const draft = draftOf(page)
    const renamed = { ...draft, headings: draft.headings.map((r) => ({ ...r, name: `${r.name} ` })) }
    expect(renamedIn(renamed)).toEqual([])
    const better = { ...draft, categories: draft.categories.map((r) => ({ ...r, name: 'Small checks' })) }
    expect(renamedIn(better)).toEqual([{ part: 'category', from: 'Checks', to: 'Small checks' }])
    expect(movedRow(draft.headings, 'Practice', -1).map((r) => r.name)).toEqual(['Practice', 'Tests'])
    expect(movedRow(draft.headings, 'Practice', 1)).toBe(draft.headings)
  })
})

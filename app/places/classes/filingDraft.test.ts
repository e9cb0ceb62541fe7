import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { ClassId } from '#core/base'
import { draftOf, filingIn, movedRow, renamedAway, renamedIn } from './filingDraft'

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
  it('take work along only from a name that is gone: a colleague may have kept it', () => {
    const renamed = [{ part: 'heading', from: 'Tests', to: 'Exams' }] as const
    const mine = { ...filing, headings: ['Exams', 'Practice'] }
    expect(renamedAway(renamed, mine, mine)).toEqual(renamed)
    expect(renamedAway(renamed, mine, { ...mine, headings: ['Exams', 'Practice', 'Tests'] })).toEqual([])
    // two that have changed names: both former ones stand, as the new ones
    const turned = [...renamed, { part: 'heading', from: 'Exams', to: 'Tests' }] as const
    const both = { ...filing, headings: ['Exams', 'Tests'] }
    expect(renamedAway(turned, both, both)).toEqual(turned)
  })
})

import { describe, expect, it } from 'vitest'
import { aCheck, single } from '../../tests/support/made'
import { checkResource } from './checkResource'
import { MADE, withScoredPart } from './scoredPart'
import { NO_MATERIAL } from './types'
import type { Criterion, Resource } from './types'

const boat: Criterion = { name: 'The boat', points: 4, about: '' }
const notes: Criterion = { name: 'Notes', points: 2.5, about: '' }
const project = (rubric: readonly Criterion[], part: Partial<Resource> = {}) =>
  aCheck([], { kind: 'project', material: { ...NO_MATERIAL, rubric }, ...part })

describe('withScoredPart', () => {
  it('asks for what was made where criteria are worth points', () => {
    const { items } = withScoredPart(project([boat, notes]))
    expect(items).toMatchObject([{ id: MADE, kind: 'extended', points: 6.5 }])
    expect(checkResource(project([boat])).value?.items).toHaveLength(1)
  })

  it('keeps words that were changed, with the points of the criteria', () => {
    const before = withScoredPart(project([boat]))
    const items = before.items.map((item) => ({ ...item, stem: 'How did it float?' }))
    const after = withScoredPart({ ...before, items, material: { ...NO_MATERIAL, rubric: [boat, notes] } })
    expect(after.items).toMatchObject([{ stem: 'How did it float?', points: 6.5 }])
  })

  it('goes with the last criterion that is worth something', () => {
    const before = withScoredPart(project([boat], { items: [single('1')] }))
    expect(before.items).toHaveLength(2)
    const after = withScoredPart({
      ...before,
      material: { ...NO_MATERIAL, rubric: [{ ...boat, points: 0 }] },
    })
    expect(after.items).toEqual([single('1')])
  })

  it('stands for one standard where the piece has one', () => {
    const standardOf = (standards: readonly string[]) =>
      withScoredPart(project([boat], { standards })).items[0]?.standard
    expect(standardOf(['A.1'])).toBe('A.1')
    expect(standardOf(['A.1', 'A.2'])).toBeNull()
  })

  it('leaves a text alone that has its own question, and what has no criteria', () => {
    const text = aCheck([], { kind: 'writing-task', material: { ...NO_MATERIAL, rubric: [boat] } })
    expect(withScoredPart(text)).toBe(text)
    const reading = aCheck([], { kind: 'reading', material: { ...NO_MATERIAL, rubric: [boat] } })
    expect(withScoredPart(reading)).toBe(reading)
  })
})

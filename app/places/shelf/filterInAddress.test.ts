import { describe, expect, it } from 'vitest'
import { filterAsText, filterIn } from './filterInAddress'

describe('what a search is narrowed by, in the address', () => {
  it('is itself once it is read again', () => {
    for (const filter of [{}, { kind: ['check', 'test'], grade: ['8'] }, { scoring: ['by-hand'] }])
      expect(filterIn(filterAsText(filter))).toEqual(filter)
    expect(filterAsText({ kind: ['check', 'test'], grade: ['8'] })).toBe('kind:check,test;grade:8')
  })

  it('is nothing known where the address says nothing, or what is no facet', () => {
    expect(filterIn(null)).toBeNull()
    expect(filterIn('colour:red;kind:;;grade:7')).toEqual({ grade: ['7'] })
    expect(filterIn('__proto__:x')).toEqual({})
  })
})

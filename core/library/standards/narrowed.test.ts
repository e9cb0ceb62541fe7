import { describe, expect, it } from 'vitest'
import { narrowedStandards } from './narrowed'
import type { Standard, StandardLevel } from './types'

const standard = (code: string, level: StandardLevel, parent: string | null): Standard => ({
  code,
  text: code,
  level,
  parent,
  requires: [],
})
const all = [
  standard('S', 'subject', null),
  standard('S.W', 'domain', 'S'),
  standard('S.W.1', 'standard', 'S.W'),
  standard('S.W.2', 'standard', 'S.W'),
  standard('M', 'subject', null),
  standard('M.1', 'standard', 'M'),
]
const grades = new Map([
  ['S.W.1', [7, 8]],
  ['S.W.2', [8]],
  ['M.1', [7]],
])
const codes = (subject: string | null, grade: number | null) =>
  narrowedStandards(all, { subject, grade, grades }).map((s) => s.code)

describe('narrowedStandards', () => {
  it('are those of a subject and of a grade, with what holds them', () => {
    expect(codes(null, null)).toHaveLength(6)
    expect(codes('M', null)).toEqual(['M', 'M.1'])
    expect(codes(null, 7)).toEqual(['S', 'S.W', 'S.W.1', 'M', 'M.1'])
    expect(codes('S', 8)).toEqual(['S', 'S.W', 'S.W.1', 'S.W.2'])
    expect(codes('M', 8)).toEqual([])
    expect(codes(null, 9)).toEqual([])
  })
})

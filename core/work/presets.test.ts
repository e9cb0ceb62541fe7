import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ClassId, PresetId } from '../base'
import { rules } from '../../tests/support/made'
import { presetFor } from './presets'
import type { Preset } from './presets'

const A = asId<ClassId>('A')
const preset = (id: string, classId: ClassId | null, kind: Preset['kind']): Preset => ({
  id: asId<PresetId>(id),
  name: id,
  rules: rules(),
  classId,
  kind,
})

describe('the rules with which work begins', () => {
  const byHand = preset('by-hand', null, null)
  const ofKind = preset('of-kind', null, 'check')
  const ofClass = preset('of-class', A, null)
  const both = preset('both', A, 'check')

  it('are those that fit most exactly', () => {
    const all = [byHand, ofKind, ofClass, both]
    const of = (list: readonly Preset[], classId: ClassId | null, kind: 'check' | 'test') =>
      presetFor(list, { classId, kind })?.id ?? null
    expect(of(all, A, 'check')).toBe('both')
    expect(of([...all].reverse(), A, 'check')).toBe('both')
    expect(of(all, A, 'test')).toBe('of-class')
    expect(of(all, asId<ClassId>('B'), 'check')).toBe('of-kind')
    expect(of([byHand, ofKind, ofClass], A, 'check')).toBe('of-class')
  })

  it('are never those that are only chosen by hand, nor those of another class', () => {
    expect(presetFor([byHand, both], { classId: asId<ClassId>('B'), kind: 'check' })).toBeNull()
    expect(presetFor([byHand], { classId: A, kind: 'check' })).toBeNull()
    expect(presetFor([both], { classId: null, kind: 'check' })).toBeNull()
  })
})

import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ResourceId } from '../base'
import { forTheWeak } from './forTheWeak'

const piece = (id: string, role: 'core' | 'reteach' | 'practice' | 'extension') => ({
  id: asId<ResourceId>(id),
  role,
})
const check = piece('check', 'practice')
const idsOf = (pointed: readonly (typeof check)[], lesson: readonly (typeof check)[]) =>
  forTheWeak(check.id, { pointed, lesson }).map((p) => p.id)

describe('what is given to those who were weak', () => {
  it('is what the piece points to, and then what its lesson has for them, each once', () => {
    const lesson = [piece('read', 'core'), piece('again', 'reteach'), check, piece('more', 'practice')]
    expect(idsOf([piece('far', 'core'), piece('more', 'practice')], lesson)).toEqual(['far', 'more', 'again'])
    expect(idsOf([], lesson)).toEqual(['again', 'more'])
    expect(idsOf([], [])).toEqual([])
  })

  it('is a choice and not a list', () => {
    const many = Array.from({ length: 9 }, (_, i) => piece(`p${i}`, 'practice'))
    expect(idsOf(many, [])).toHaveLength(4)
  })
})

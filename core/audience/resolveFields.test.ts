import { describe, expect, it } from 'vitest'
import { asDefaults, resolveFields } from './resolveFields'
import type { Kinder, Layer } from './types'

interface F {
  readonly due: number
  readonly tries: number | null
}
const kinder: Kinder<F> = { due: (a, b) => a - b, tries: (a, b) => (a ?? Infinity) - (b ?? Infinity) }
const layer = (level: Layer<F>['level'], sourceId: string, fields: Partial<F>): Layer<F> => ({
  level,
  sourceId,
  fields,
})
const defaults: F = { due: 10, tries: 1 }

describe('resolveFields', () => {
  it('keeps the assignment’s own values where nothing else is set', () => {
    expect(resolveFields(asDefaults(defaults), [], kinder)).toEqual({
      fields: defaults,
      because: [
        { field: 'due', level: 'assignment', sourceId: null },
        { field: 'tries', level: 'assignment', sourceId: null },
      ],
    })
  })

  it('lets learner win over group over class, field by field', () => {
    const got = resolveFields(
      asDefaults(defaults),
      [
        layer('learner', 'l', { tries: 5 }),
        layer('group', 'g', { due: 30, tries: 3 }),
        layer('class', 'c', { due: 20, tries: 2 }),
      ],
      kinder,
    )
    expect(got.fields).toEqual({ due: 30, tries: 5 })
    expect(got.because).toEqual([
      { field: 'due', level: 'group', sourceId: 'g' },
      { field: 'tries', level: 'learner', sourceId: 'l' },
    ])
  })

  it('takes the kinder of several groups, each field on its own', () => {
    const got = resolveFields(
      asDefaults(defaults),
      [layer('group', 'g1', { due: 30, tries: 1 }), layer('group', 'g2', { due: 25, tries: null })],
      kinder,
    )
    expect(got.fields).toEqual({ due: 30, tries: null })
    expect(got.because.map((b) => b.sourceId)).toEqual(['g1', 'g2'])
  })

  it('lets a more personal layer be stricter, since it was set on purpose', () => {
    expect(
      resolveFields(
        asDefaults(defaults),
        [layer('group', 'g', { due: 30 }), layer('learner', 'l', { due: 5 })],
        kinder,
      ).fields.due,
    ).toBe(5)
  })

  it('does not depend on the order of layers', () => {
    const layers = [
      layer('class', 'c', { due: 20 }),
      layer('group', 'g1', { due: 26 }),
      layer('group', 'g2', { due: 25 }),
      layer('learner', 'l', { tries: 9 }),
    ]
    expect(resolveFields(asDefaults(defaults), [...layers].reverse(), kinder).fields).toEqual(
      resolveFields(asDefaults(defaults), layers, kinder).fields,
    )
  })
})

import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { AssignmentId, Instant, ItemId, PieceId } from '../base'
import { composeVersion } from './composeVersion'
import { EMPTY_LAYER } from './emptyLayer'
import { misfitsOf } from './misfits'
import { readAs } from './readAs'
import { isSupportItem } from './supportItems'
import { DEFAULT_THRESHOLDS, suggestStep } from './suggest'
import type { TrailPoint } from './suggest'
import { aPiece, aQuestion } from './testing'
import { DEFAULT_TRAILS, supportOf, versionFor } from './trails'
import type { Layer } from './types'

const WORDS = ['heat', 'ice', 'water', 'moves', 'melts', 'cold', 'rises']
const sentence = fc
  .array(fc.constantFrom(...WORDS), { minLength: 2, maxLength: 6 })
  .map((w) => `${w.join(' ')}.`)
const cores = fc
  .record({
    content: fc.array(sentence, { minLength: 1, maxLength: 5 }).map((s) => s.join('\n\n')),
    items: fc.array(fc.constantFrom('S.1', 'S.2', null), { maxLength: 9 }),
  })
  .map(({ content, items }) => aPiece({ content, items: items.map((s, i) => aQuestion(`i${i}`, s)) }))
const itemIds = fc.array(
  fc.nat(12).map((n) => asId<ItemId>(`i${n}`)),
  { maxLength: 5 },
)
const kept: fc.Arbitrary<Layer['items']> = fc.oneof(
  fc.constant({ kind: 'all' as const }),
  fc.record({ kind: fc.constant('share' as const), percent: fc.integer({ min: 10, max: 100 }) }),
  fc.record({ kind: fc.constant('chosen' as const), itemIds }),
)
const marks = fc.array(
  fc.record({
    sort: fc.constantFrom('a', 'b'),
    quote: fc.constantFrom(...WORDS, 'heat moves'),
    nth: fc.integer({ min: 1, max: 3 }),
  }),
  { maxLength: 6 },
)
const layers: fc.Arbitrary<Layer> = fc
  .record({
    wordBank: fc.uniqueArray(fc.constantFrom(...WORDS)),
    steps: fc.array(sentence, { maxLength: 3 }),
    frames: fc.constantFrom([], [{ id: 'f1', text: 'So [1].' }]),
    organisers: fc.constantFrom([], [{ kind: 'web' as const, centre: 'heat', branches: 3, filled: {} }]),
    marks,
    items: kept,
    hints: itemIds.map((ids) => ids.map((itemId) => ({ itemId, hint: 'look' }))),
  })
  .map((part) => ({ ...EMPTY_LAYER, legend: [{ id: 'a', name: 'A', look: 'line' }], ...part }))

describe('composing, whatever the core and the layer', () => {
  it('takes nothing of the core away, but for questions where fewer are asked', () => {
    fc.assert(
      fc.property(cores, layers, (core, layer) => {
        const { items: all, ...rest } = composeVersion(core, layer).resource
        const items = all.filter((i) => !isSupportItem(i))
        const { items: own, ...core_ } = core
        expect(rest).toEqual(core_)
        const ids = own.map((i) => i.id)
        expect(items.map((i) => i.id)).toEqual(ids.filter((id) => items.some((i) => i.id === id)))
        if (layer.items.kind === 'all') expect(items).toHaveLength(own.length)
        else expect(items.length > 0).toBe(own.length > 0)
      }),
    )
  })

  it('is done once and for all: composing what came out changes nothing', () => {
    fc.assert(
      fc.property(cores, layers, (core, layer) => {
        const once = composeVersion(core, layer)
        const still = layer.items.kind === 'share' ? { ...layer, items: { kind: 'all' } as const } : layer
        expect(composeVersion(once.resource, { ...still, marks: once.support.marks })).toEqual(once)
      }),
    )
  })

  it('has every change of the core, and places exactly what does fit', () => {
    fc.assert(
      fc.property(cores, layers, sentence, (core, layer, added) => {
        const later = { ...core, content: `${core.content}\n\n${added}` }
        const { resource, support } = composeVersion(later, layer)
        expect(readAs(resource.content).endsWith(added)).toBe(true)
        const gone = misfitsOf(later, layer).filter((m) => m.code === 'versions/mark-gone').length
        expect(support.marks.length).toBeLessThanOrEqual(layer.marks.length - gone)
      }),
    )
  })
})

const point = (trail: number, percent: number | null, at: number): TrailPoint => ({
  assignmentId: asId<AssignmentId>(`w${at}`),
  pieceId: asId<PieceId>('p1'),
  at: at as Instant,
  trailId: (DEFAULT_TRAILS[trail] ?? DEFAULT_TRAILS[0])!.id,
  percent,
  isParallel: false,
})
const paths = fc
  .array(fc.tuple(fc.nat(2), fc.option(fc.nat(100))), { maxLength: 12 })
  .map((list) => list.map(([trail, percent], at) => point(trail, percent, at)))
const currents = fc.constantFrom(...DEFAULT_TRAILS.map((t) => t.id))

describe('a suggestion, whatever came before', () => {
  it('is one step at most, in the direction that it says, and rests on scores of this trail', () => {
    fc.assert(
      fc.property(paths, currents, (points, current) => {
        const s = suggestStep(points, current, DEFAULT_TRAILS, DEFAULT_THRESHOLDS)
        const moved = supportOf(DEFAULT_TRAILS, s.to) - supportOf(DEFAULT_TRAILS, current)
        expect(moved).toBe({ less: -1, more: 1, stay: 0 }[s.step])
        const own = points.filter((p) => p.trailId === current).map((p) => p.percent)
        expect(s.percents.every((p) => own.includes(p))).toBe(true)
        if (s.step !== 'stay') expect(s.percents.length).toBeGreaterThan(0)
      }),
    )
  })

  it('is never less support for lower scores', () => {
    fc.assert(
      fc.property(paths, currents, fc.integer({ min: 1, max: 40 }), (points, current, down) => {
        const lower = points.map((p) => ({
          ...p,
          percent: p.percent === null ? null : Math.max(0, p.percent - down),
        }))
        const of = (list: readonly TrailPoint[]) =>
          supportOf(DEFAULT_TRAILS, suggestStep(list, current, DEFAULT_TRAILS, DEFAULT_THRESHOLDS).to)
        expect(of(lower)).toBeGreaterThanOrEqual(of(points))
      }),
    )
  })

  it('gives a version that there is, with no more support than wanted', () => {
    fc.assert(
      fc.property(currents, fc.subarray(DEFAULT_TRAILS.map((t) => t.id)), (wanted, made) => {
        const given = versionFor(DEFAULT_TRAILS, wanted, new Set(made))
        if (given === null) return
        expect(made).toContain(given)
        expect(supportOf(DEFAULT_TRAILS, given)).toBeLessThanOrEqual(supportOf(DEFAULT_TRAILS, wanted))
      }),
    )
  })
})

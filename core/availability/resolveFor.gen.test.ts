import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId, instant, isoDay } from '../base'
import type { ClassId, GroupId, Instant } from '../base'
import { ids } from '../../tests/support/made'
import { zoneOf } from '../calendar'
import { resolveFor } from './resolveFor'
import type { Ground } from './resolveMoment'
import { checkOrder } from './resolveWindow'
import type { Overrides, Terms } from './terms'
import { NO_ACCOMMODATION, WINDOW_FIELDS } from './types'
import type { Moment, Window, WindowField, WindowSpec } from './types'

const CLASSES = ['A', 'B', 'C'].map(ids.class)
const GROUPS = ['g1', 'g2', 'g3'].map((g) => asId<GroupId>(g))
const learner = ids.user('l')
const zone = zoneOf('America/Denver')
const ground: Ground = {
  zone,
  firstOn: isoDay('2026-08-31'),
  lastOn: isoDay('2026-12-18'),
  meetings: [],
  extents: new Map(),
}
const grounds = new Map<ClassId, Ground>(CLASSES.map((c) => [c, ground]))

/** A day between two of September, or none; mostly in order, so that many windows stand. */
const between = (min: number, max: number) =>
  fc.option(
    fc
      .integer({ min, max })
      .map((d): Moment => ({ kind: 'day', on: isoDay(`2026-09-${String(d).padStart(2, '0')}`) })),
    { freq: 3 },
  )
const moments = {
  listed: between(1, 6),
  opens: between(3, 10),
  due: between(9, 20),
  closes: between(17, 27),
  putAway: between(25, 30),
}
const spec = fc.record<WindowSpec>(moments)
const limit = fc.option(fc.integer({ min: 1, max: 5 }), { freq: 3 })
const overrides = fc.record<Overrides>(
  {
    window: fc.record(moments, { requiredKeys: [] }),
    maxAttempts: limit,
    timeLimitMinutes: limit,
  },
  { requiredKeys: [] },
)
const some = <K extends string>(keys: readonly K[]) =>
  fc
    .array(fc.tuple(fc.constantFrom(...keys), overrides), { maxLength: 3 })
    .map((list) => new Map<string, Overrides>(list))

type Value = number | null
/** The kinder of two values: starts are kinder early, ends and limits late; none is kindest. */
const kinder = (field: string, a: Value, b: Value): Value => {
  if (a === null || b === null) return null
  return field === 'listed' || field === 'opens' ? Math.min(a, b) : Math.max(a, b)
}

/** The slow twin: per field the highest layer that speaks of it, the kinder of those that speak there. */
function twin(terms: Terms, classIds: readonly ClassId[], groupIds: readonly GroupId[]) {
  const at = (m: Moment | null, field: string): Value => {
    if (m?.kind !== 'day') return null
    const isEnd = field !== 'listed' && field !== 'opens'
    return zone.at(m.on, isEnd ? 1440 : 0)
  }
  const said = (o: Overrides | undefined, field: string): Value | undefined => {
    if (field === 'maxAttempts' || field === 'timeLimitMinutes') return o?.[field]
    const window = o?.window ?? {}
    return field in window ? at(window[field as WindowField] ?? null, field) : undefined
  }
  const own = (field: string): Value =>
    field === 'maxAttempts' || field === 'timeLimitMinutes'
      ? terms.limits[field]
      : at(terms.window[field as WindowField], field)
  const levels = (field: string): readonly Value[] => {
    const byLearner = said(terms.overrides.learners.get(learner), field)
    if (byLearner !== undefined) return [byLearner]
    const byGroup = groupIds.flatMap((g) => said(terms.overrides.groups.get(g), field) ?? [])
    const nulls = groupIds.filter((g) => said(terms.overrides.groups.get(g), field) === null)
    if (byGroup.length + nulls.length > 0) return [...byGroup, ...nulls.map(() => null)]
    return classIds.map((c) => {
      const value = said(terms.overrides.classes.get(c), field)
      return value === undefined ? own(field) : value
    })
  }
  const best = (field: string) => levels(field).reduce((a, b) => kinder(field, a, b))
  const due = best('due')
  const closes = levels('closes')
    .map((c) => c ?? due)
    .reduce((a, b) => kinder('closes', a, b))
  return {
    opens: best('opens'),
    due,
    closes,
    maxAttempts: best('maxAttempts'),
    timeLimitMinutes: best('timeLimitMinutes'),
  }
}

describe('laws of who gets what', () => {
  it('equal the slow twin, whatever the order of classes and groups', () => {
    let resolved = 0
    fc.assert(
      fc.property(
        spec,
        limit,
        limit,
        some(CLASSES),
        some(GROUPS),
        some([learner]),
        fc.shuffledSubarray(CLASSES, { minLength: 1 }),
        fc.shuffledSubarray(GROUPS),
        (window, maxAttempts, timeLimitMinutes, classes, groups, learners, classIds, groupIds) => {
          const terms: Terms = {
            own: {},
            window,
            limits: { maxAttempts, timeLimitMinutes },
            overrides: { classes, groups, learners },
          }
          const resolve = (c: readonly ClassId[], g: readonly GroupId[]) =>
            resolveFor(
              { learnerId: learner, classIds: c, groupIds: g, byClass: true, byName: true },
              terms,
              grounds,
              NO_ACCOMMODATION,
            )
          const got = resolve(classIds, groupIds)
          const turned = resolve([...classIds].reverse(), [...groupIds].reverse())
          expect(turned.value?.terms).toEqual(got.value?.terms)
          expect(turned.value?.classId).toEqual(got.value?.classId)
          expect(turned.ok).toBe(got.ok)
          if (!got.ok) return
          resolved++
          const { listed, putAway, ...rest } = got.value.terms
          const wanted = twin(terms, classIds, groupIds)
          // nobody loses work because the due date was made kinder and the closing moment was not
          const closes = wanted.due === null ? wanted.closes : kinder('closes', wanted.closes, wanted.due)
          expect(rest).toEqual({ ...wanted, closes })
          expect(listed === null || rest.opens === null || listed <= rest.opens).toBe(true)
          expect(putAway === null || rest.closes === null || putAway >= rest.closes).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
    expect(resolved).toBeGreaterThan(500)
  })

  it('check moments pairwise: listed ≤ opens < due ≤ closes ≤ put away', () => {
    const at = fc.option(
      fc.integer({ min: 0, max: 6 }).map((n): Instant => instant(n)),
      { freq: 2 },
    )
    let refused = 0
    fc.assert(
      fc.property(
        fc.record<Window>({ listed: at, opens: at, due: at, closes: at, putAway: at }),
        (window) => {
          const isStart = (f: WindowField) => f === 'listed' || f === 'opens'
          const wrong = WINDOW_FIELDS.flatMap((a, i) =>
            WINDOW_FIELDS.slice(i + 1).filter((b) => {
              const [from, to] = [window[a], window[b]]
              if (from === null || to === null) return false
              return isStart(a) && !isStart(b) ? to <= from : to < from
            }),
          )
          const got = checkOrder(window)
          expect(got.ok).toBe(wrong.length === 0)
          if (got.ok) return
          refused++
          expect(wrong).toContain(got.error.code === 'availability/out-of-order' ? got.error.field : '')
        },
      ),
      { numRuns: 2000 },
    )
    expect(refused).toBeGreaterThan(300)
  })
})

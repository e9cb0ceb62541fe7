import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aLesson, aPlan, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { addDays, asId, isoDay } from '../../base'
import type { UnitId } from '../../base'
import { AS_PLANNED, LEFT_BECAUSE } from '../plan'
import type { PlanLesson } from '../plan'
import { act } from './act'
import { yearOf } from './state'
import type { PacingState } from './state'
import { checkOutcome } from './checkOutcome'
import { inverseOf, singlesOf } from './command'
import type { ClassCommand, PacingCommand, PlanCommand, SingleCommand } from './types'

const year = aYear({ lastOn: isoDay('2026-09-25') })
const classId = ids.class('c')
const start: PacingState = {
  year,
  plans: new Map([[aPlan([]).id, aPlan(['a', 'b', 'c', 'd'].map((id) => aLesson(id, 1)))]]),
  classes: new Map([[classId, { planId: aPlan([]).id, pattern: onDays(1, 3, 5), pacing: AS_PLANNED }]]),
}
const NAMES = ['a', 'b', 'c', 'd', 'x', 'y']
/** What a client may send: mostly what it saw, sometimes not; sensible values and others. */
interface Whim {
  readonly what: number
  readonly name: string
  readonly other: string
  readonly n: number
  readonly sawIt: boolean
}
const whim = fc.record<Whim>({
  what: fc.nat(13),
  name: fc.constantFrom(...NAMES),
  other: fc.constantFrom(...NAMES),
  n: fc.nat(30),
  sawIt: fc.boolean(),
})

function planOf(state: PacingState) {
  return [...state.plans.values()][0] as ReturnType<typeof aPlan>
}

function planChange(state: PacingState, part: Partial<PlanCommand>): PlanCommand {
  const none = { lessons: [], order: null, units: null, parts: null }
  return { kind: 'plan', planId: planOf(state).id, ...none, ...part }
}

function commandOf(state: PacingState, { what, name, other, n, sawIt }: Whim): SingleCommand {
  const of = state.classes.get(classId)
  const plan = planOf(state)
  if (!of) throw new Error('no class')
  const { pacing } = of
  const lessonId = ids.lesson(name)
  const on = addDays(isoDay('2026-08-31'), n % 26)
  const seen = <T>(value: T): T | null => (sawIt ? value : null)
  const ofLesson = (part: object) => ({ kind: 'lesson', classId, lessonId, ...part }) as ClassCommand
  const inPlan = plan.lessons.find((l) => l.id === lessonId) ?? null
  const unitId = plan.units[0]?.id as UnitId
  const order = plan.lessons.map((l) => l.id)
  switch (what) {
    case 0:
      return {
        kind: 'length',
        classId,
        lessonId,
        from: seen(pacing.lengths[lessonId] ?? null),
        to: n % 9 || null,
      }
    case 1: {
      const from = yearOf(state).notes.find((x) => x.id === `n${n % 4}`) ?? null
      const to = n % 3 === 0 ? null : closure(on, addDays(on, n % 3), { id: `n${n % 4}`, name: other })
      return { kind: 'note', yearId: year.id, from: seen(from), to }
    }
    case 2:
      return ofLesson({
        part: 'left',
        from: pacing.left[lessonId] ?? null,
        to: n % 2 ? LEFT_BECAUSE[0] : null,
      })
    case 3: {
      const to = n % 4 === 0 ? null : n % 4 === 1 ? 'free' : { kind: 'not-before', on }
      return ofLesson({ part: 'fixed', from: pacing.fixed[lessonId] ?? null, to })
    }
    case 4: {
      const held = [{ on, startMinute: 540, halves: 2 }]
      const to = n % 2 ? { outcome: 'covered', held, moreHalves: 0 } : null
      return ofLesson({ part: 'records', from: pacing.records[lessonId] ?? null, to })
    }
    case 5: {
      const to = n % 3 ? aLesson(n % 7 ? name : other, 1, { unitId }) : null
      return ofLesson({ part: 'added', from: pacing.added[lessonId] ?? null, to })
    }
    case 6: {
      const to = n % 3 === 0 ? null : [...order, ...(n % 2 ? [] : [lessonId])].reverse()
      return { kind: 'class', classId, part: 'order', from: pacing.order, to }
    }
    case 7: {
      const change = pacing.changes.find((c) => c.on === on && c.startMinute === 540) ?? null
      const kinds = [
        null,
        { kind: 'cancel', on, startMinute: 540, why: 'Snow' },
        { kind: 'add', on: n % 5 ? on : addDays(on, 1), startMinute: 540, why: 'Extra', minutes: 50 },
        { kind: 'minutes', on, startMinute: 540, why: 'Short', minutes: 20 },
      ] as const
      return { kind: 'meeting', classId, on, startMinute: 540, from: seen(change), to: kinds[n % 4] ?? null }
    }
    case 8: {
      const to = n % 3 === 0 ? null : aLesson(name, 1 + (n % 2), { unitId, title: other })
      // an order that follows, or one that was forgotten
      const next = [...order.filter((id) => id !== lessonId), ...(to === null ? [] : [lessonId])]
      return planChange(state, {
        lessons: [{ lessonId, from: inPlan, to }],
        order: n % 2 ? { from: order, to: next } : null,
      })
    }
    case 9: {
      const moved = [...order].reverse()
      return planChange(state, { order: { from: order, to: n % 4 ? moved : [...moved, ...moved] } })
    }
    case 10: {
      const more = { id: asId<UnitId>(other), number: '9', title: name, partId: null }
      return planChange(state, { units: { from: plan.units, to: n % 3 ? [...plan.units, more] : [more] } })
    }
    case 11:
      return { kind: 'pattern', classId, from: of.pattern, to: onDays(((n % 5) + 1) as 1, 3) }
    case 12: {
      const to = { ...yearOf(state), name: other, terms: [], lastOn: addDays(isoDay('2026-09-20'), n) }
      return { kind: 'year', yearId: year.id, from: yearOf(state), to }
    }
    default: {
      const twice = { lessonId, from: inPlan, to: inPlan && ({ ...inPlan, title: other } as PlanLesson) }
      return planChange(state, { lessons: n % 2 ? [twice] : [twice, { ...twice, to: inPlan }] })
    }
  }
}

const text = (state: PacingState) => JSON.stringify([state.year, [...state.plans], [...state.classes]])

/** As the server decides it: done, and accepted as a new act. */
function accepted(state: PacingState, command: PacingCommand): PacingState | null {
  const next = act(state, command)
  return next.ok && checkOutcome(next.value, command) === null ? next.value : null
}

describe('whatever is accepted', () => {
  it('can be taken back, and everything is then as it was, byte for byte', () => {
    const kinds = new Map<string, number>()
    fc.assert(
      fc.property(fc.array(fc.tuple(whim, fc.nat(2)), { minLength: 1, maxLength: 14 }), (whims) => {
        let now = start
        for (let i = 0; i < whims.length; i++) {
          const [first, more] = whims[i] as [Whim, number]
          const singles = [first, ...whims.slice(i + 1, i + 1 + more).map(([w]) => w)].map((w) =>
            commandOf(now, w),
          )
          const command: PacingCommand =
            singles.length === 1
              ? (singles[0] as SingleCommand)
              : { kind: 'together', purpose: { code: 'fit' }, commands: singles }
          const next = accepted(now, command)
          if (!next) continue
          for (const { kind } of singlesOf(command)) kinds.set(kind, (kinds.get(kind) ?? 0) + 1)
          const back = act(next, inverseOf(command))
          expect(back.error).toBeUndefined()
          expect(text(back.value as PacingState)).toBe(text(now))
          const again = act(back.value as PacingState, command)
          expect(text(again.value as PacingState)).toBe(text(next))
          now = next
        }
      }),
      { seed: 20261126, numRuns: 3000 },
    )
    // the law was tried on every kind of act
    expect([...kinds.keys()].sort()).toEqual([
      'class',
      'length',
      'lesson',
      'meeting',
      'note',
      'pattern',
      'plan',
      'year',
    ])
    expect(Math.min(...kinds.values())).toBeGreaterThan(100)
  })

  it('names one thing only: inner and outer ids agree', () => {
    const lessons = planOf(start).lessons as readonly [PlanLesson, PlanLesson, ...PlanLesson[]]
    const [a, b] = lessons
    const on = isoDay('2026-08-31')
    const cancel = { kind: 'cancel' as const, on, startMinute: 600, why: 'Snow' }
    const bad: readonly SingleCommand[] = [
      { kind: 'meeting', classId, on, startMinute: 540, from: null, to: cancel },
      { kind: 'year', yearId: year.id, from: year, to: { ...year, id: asId('other') } },
      { kind: 'note', yearId: year.id, from: closure(on, on, { id: 'n' }), to: closure(on, on, { id: 'm' }) },
      { kind: 'lesson', classId, lessonId: a.id, part: 'added', from: null, to: b },
      planChange(start, { lessons: [{ lessonId: a.id, from: a, to: { ...b, title: 'New' } }] }),
      planChange(start, {
        lessons: [1, 2].map((n) => ({ lessonId: a.id, from: a, to: { ...a, title: `${n}` } })),
      }),
    ]
    for (const command of bad)
      expect(act(start, command).error).toEqual({ code: 'pacing/ids-disagree', field: 'to' })
  })
})

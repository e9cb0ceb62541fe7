import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, isoDay } from '../../base'
import type { ClassId, LessonId } from '../../base'
import { aLesson, aPlan, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { layOut } from '../layout'
import { AS_PLANNED, WEIGHTS, sequenceOf } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'
import { ripple } from '../ripple'
import { act } from './act'
import { yearOf } from './state'
import type { PacingState } from './state'
import { inverseOf } from './command'
import type { PacingCommand } from './types'

const year = aYear({ lastOn: isoDay('2026-09-25') })
const pattern = onDays(1, 3, 5)
const PATTERNS = [
  onDays(1, 2, 3, 4, 5),
  onDays(2, 4),
  [
    ...onDays(1).map((r) => ({ ...r, throughOn: isoDay('2026-09-09') })),
    ...onDays(2, 5).map((r) => ({ ...r, fromOn: isoDay('2026-09-10') })),
  ],
  pattern,
]
const classId = ids.class('c')
const someLessons = fc
  .array(
    fc.record({
      halves: fc.integer({ min: 1, max: 5 }),
      weight: fc.constantFrom(...WEIGHTS),
      kind: fc.constantFrom('lesson' as const, 'buffer' as const, 'check' as const),
      fixed: fc.option(fc.integer({ min: 0, max: 24 }), { freq: 5 }),
    }),
    { minLength: 1, maxLength: 9 },
  )
  .map((list) => {
    let latest = 0
    return list.map((l, i) => {
      latest = Math.max(latest, l.fixed ?? 0)
      return aLesson(`l${i}`, l.halves / 2, {
        weight: l.weight,
        kind: l.kind,
        fixed: l.fixed === null ? null : { kind: 'on', on: addDays(isoDay('2026-09-01'), latest) },
      })
    })
  })
const stateOf = (lessons: readonly PlanLesson[], pacing: ClassPacing = AS_PLANNED): PacingState => {
  const plan = aPlan(lessons)
  return {
    year,
    plans: new Map([[plan.id, plan]]),
    classes: new Map([[classId, { planId: plan.id, pattern, pacing }]]),
  }
}
const sideOf = (state: PacingState) => {
  const of = state.classes.get(classId)
  const plan = [...state.plans.values()][0] as { readonly lessons: readonly PlanLesson[] }
  return {
    plan,
    pacing: of?.pacing as ClassPacing,
    calendar: meetings(yearOf(state), classId, of?.pattern ?? [], of?.pacing.changes ?? []),
    terms: yearOf(state).terms,
  }
}
const text = (state: PacingState) => JSON.stringify([state.year, [...state.plans], [...state.classes]])

/** Something that may happen, told by numbers, made into a command on the state as it is. */
function commandOf(state: PacingState, what: number, n: number): PacingCommand {
  const of = state.classes.get(classId)?.pacing as ClassPacing
  const plan = [...state.plans.values()][0] as ReturnType<typeof aPlan>
  const lesson = plan.lessons[n % plan.lessons.length] as PlanLesson
  const on = addDays(isoDay('2026-08-31'), n % 24)
  if (what === 0)
    return {
      kind: 'length',
      classId,
      lessonId: lesson.id,
      from: of.lengths[lesson.id] ?? null,
      to: 1 + (n % 6),
    }
  if (what === 1)
    return {
      kind: 'note',
      yearId: year.id,
      from: yearOf(state).notes.find((x) => x.id === `n-${on}`) ?? null,
      to: closure(on),
    }
  if (what === 2)
    return {
      kind: 'lesson',
      classId,
      lessonId: lesson.id,
      part: 'left',
      from: of.left[lesson.id] ?? null,
      to: 'let-go',
    }
  if (what === 3)
    return {
      kind: 'class',
      classId,
      part: 'order',
      from: of.order,
      to: [...sequenceOf(plan, of).map((l) => l.id)].reverse(),
    }
  if (what === 4)
    return {
      kind: 'plan',
      planId: plan.id,
      lessons: [{ lessonId: lesson.id, from: lesson, to: { ...lesson, title: `New ${n}` } }],
      order: null,
      units: null,
      parts: null,
    }
  if (what === 6)
    return {
      kind: 'pattern',
      classId,
      from: state.classes.get(classId)?.pattern ?? [],
      to: PATTERNS[n % PATTERNS.length] as typeof pattern,
    }
  if (what === 7)
    return {
      kind: 'year',
      yearId: year.id,
      from: yearOf(state),
      to: {
        ...yearOf(state),
        notes: [...yearOf(state).notes, closure(on, on, { id: `y-${n}-${yearOf(state).notes.length}` })],
      },
    }
  const change = of.changes.find((c) => c.on === on && c.startMinute === 540) ?? null
  return {
    kind: 'meeting',
    classId,
    on,
    startMinute: 540,
    from: change,
    to: { kind: 'cancel', on, startMinute: 540, why: 'Snow' },
  }
}

describe('laws of planning acts', () => {
  it('undo restores everything byte for byte, acts of several commands included', () => {
    fc.assert(
      fc.property(
        someLessons,
        fc.array(fc.tuple(fc.integer({ min: 0, max: 7 }), fc.nat(1000)), { minLength: 1, maxLength: 10 }),
        fc.boolean(),
        (lessons, wanted, together) => {
          const start = stateOf(lessons, { ...AS_PLANNED, lengths: { [ids.lesson('l0')]: 2 } })
          let now = start
          const done: PacingCommand[] = []
          for (const [what, n] of wanted) {
            const command = commandOf(now, what, n)
            const next = act(now, command)
            if (!next.ok) continue
            now = next.value
            done.push(command)
          }
          const undone = together
            ? act(
                now,
                inverseOf({
                  kind: 'together',
                  purpose: { code: 'fit' },
                  commands: done.flatMap((c) => (c.kind === 'together' ? c.commands : [c])),
                }),
              ).value
            : [...done].reverse().reduce((s, c) => act(s, inverseOf(c)).value as PacingState, now)
          expect(text(undone as PacingState)).toBe(text(start))
        },
      ),
      { numRuns: 150 },
    )
  })

  it('a ripple’s applied result equals its preview, for every way out', () => {
    fc.assert(
      fc.property(someLessons, fc.nat(23), fc.boolean(), (lessons, day, longer) => {
        const state = stateOf(lessons)
        const first = lessons[day % lessons.length]?.id as LessonId
        const command: PacingCommand = longer ? commandOf(state, 0, day) : commandOf(state, 1, day)
        const changed = act(state, command)
        if (!changed.ok) return
        const got = ripple(classId as ClassId, sideOf(state), sideOf(changed.value), longer ? first : null)
        for (const { way, commands, layout, pacing } of got.ways) {
          const applied = act(changed.value, {
            kind: 'together',
            purpose: { code: 'ripple', way, cause: '' },
            commands,
          })
          const side = sideOf(applied.value as PacingState)
          expect(side.pacing).toEqual(pacing)
          expect(layOut(side.plan, side.calendar.meetings, { pacing: side.pacing })).toEqual(layout)
        }
      }),
      { numRuns: 200 },
    )
  })

  it(
    'a ripple without fixed dates never makes a lesson earlier by a lost day, ' +
      'but for the end of one that was shortened',
    () => {
      fc.assert(
        fc.property(
          someLessons.map((list) => list.map((l) => ({ ...l, fixed: null }))),
          fc.nat(23),
          (lessons, day) => {
            const state = stateOf(lessons)
            const changed = act(state, commandOf(state, 1, day))
            if (!changed.ok) return
            const got = ripple(classId, sideOf(state), sideOf(changed.value))
            for (const w of got.ways.filter(
              (x) => x.way === 'push-on' || x.way === 'use-slack' || x.way === 'hold',
            )) {
              if (w.way === 'use-slack' && w.consequence.cuts.length > 0) continue
              for (const m of w.consequence.moved)
                if (!w.consequence.cuts.some((c) => c.lessonId === m.lessonId))
                  expect(m.toOn >= m.fromOn).toBe(true)
            }
          },
        ),
        { numRuns: 200 },
      )
    },
  )
})

describe('act', () => {
  const lessons = [aLesson('a'), aLesson('b')]

  it('does all of an act or nothing', () => {
    const state = stateOf(lessons)
    const got = act(state, {
      kind: 'together',
      purpose: { code: 'fit' },
      commands: [
        { kind: 'length', classId, lessonId: ids.lesson('a'), from: null, to: 4 },
        { kind: 'length', classId, lessonId: ids.lesson('b'), from: 9, to: 4 },
      ],
    })
    expect(got.error).toMatchObject({
      code: 'pacing/changed-meanwhile',
      seen: { of: 'length', unit: 'meetings', amount: 9 },
      now: { of: 'length', unit: 'meetings', amount: null },
    })
    expect(state.classes.get(classId)?.pacing).toBe(AS_PLANNED)
  })

  it('names both values when somebody changed the same lesson of a plan, and lets other lessons through', () => {
    const state = stateOf(lessons)
    const plan = [...state.plans.values()][0] as ReturnType<typeof aPlan>
    const [a, b] = lessons as [PlanLesson, PlanLesson]
    const rename = (l: PlanLesson, title: string): PacingCommand => ({
      kind: 'plan',
      planId: plan.id,
      lessons: [{ lessonId: l.id, from: l, to: { ...l, title } }],
      order: null,
      units: null,
      parts: null,
    })
    const one = act(state, rename(a, 'Mine')).value as PacingState
    expect(act(one, rename(b, 'Other')).ok).toBe(true)
    expect(act(one, rename(a, 'Theirs')).error).toMatchObject({
      code: 'pacing/changed-meanwhile',
      seen: { of: 'lesson', lesson: { title: 'Lesson a' } },
      now: { of: 'lesson', lesson: { title: 'Mine' } },
    })
  })

  it('adds, removes and reorders lessons of a plan, and refuses an order that forgets one', () => {
    const state = stateOf(lessons)
    const plan = [...state.plans.values()][0] as ReturnType<typeof aPlan>
    const added = aLesson('n')
    const order = { from: plan.lessons.map((l) => l.id), to: ['n', 'b', 'a'].map(ids.lesson) }
    const got = act(state, {
      kind: 'plan',
      planId: plan.id,
      lessons: [{ lessonId: added.id, from: null, to: added }],
      order,
      units: null,
      parts: null,
    })
    expect(got.value?.plans.get(plan.id)?.lessons.map((l) => l.id)).toEqual(['n', 'b', 'a'])
    expect(
      act(state, {
        kind: 'plan',
        planId: plan.id,
        lessons: [],
        order: { ...order, to: [ids.lesson('a')] },
        units: null,
        parts: null,
      }).error?.code,
    ).toBe('pacing/bad-order')
  })

  it('refuses a note that leaves no school day', () => {
    const state = stateOf(lessons)
    expect(
      act(state, { kind: 'note', yearId: year.id, from: null, to: closure('2026-08-31', '2026-09-25') }).error
        ?.code,
    ).toBe('calendar/no-instructional-days')
  })
})

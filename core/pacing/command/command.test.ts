import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aPlan, ids } from '../../../tests/support/made'
import { AS_PLANNED } from '../plan'
import type { ClassPacing } from '../plan'
import { applyToClass as applyCommand, inverseOf as inverse } from './command'
import type { ClassCommand } from './types'

const inverseOf = (command: ClassCommand) => inverse(command) as ClassCommand

const classId = ids.class('c')
const known = { plan: aPlan([aLesson('a'), aLesson('b')]), hasMeeting: (on: string) => on !== '2026-09-05' }
const empty: ClassPacing = AS_PLANNED
const length = (lessonId: string, from: number | null, to: number | null): ClassCommand => ({
  kind: 'length',
  classId,
  lessonId: ids.lesson(lessonId),
  from,
  to,
})
const on = isoDay('2026-09-01')
const lost = { kind: 'cancel' as const, on, startMinute: 540, why: 'Snow day' }
const lose: ClassCommand = { kind: 'meeting', classId, on, startMinute: 540, from: null, to: lost }

describe('applyCommand', () => {
  it('sets a class’s own length and takes it off again', () => {
    const set = applyCommand(empty, length('a', null, 3), known)
    expect(set.value?.lengths).toEqual({ a: 3 })
    expect(applyCommand(set.value as ClassPacing, length('a', 3, null), known).value?.lengths).toEqual({})
  })

  it('refuses a length that somebody changed meanwhile, with both values', () => {
    expect(
      applyCommand({ ...empty, lengths: { [ids.lesson('a')]: 5 } }, length('a', 3, 4), known).error,
    ).toEqual({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'length', unit: 'meetings', amount: 3 },
      now: { of: 'length', unit: 'meetings', amount: 5 },
    })
  })

  it('refuses unknown lessons and lengths out of range', () => {
    expect(applyCommand(empty, length('z', null, 3), known).error?.code).toBe('pacing/unknown-lesson')
    // a plan's lesson may last 40 meetings, and so may a class's: 80 halves
    expect(applyCommand(empty, length('a', null, 80), known).ok).toBe(true)
    for (const to of [0, 81, 1.5])
      expect(applyCommand(empty, length('a', null, to), known).error?.code).toBe('pacing/length-out-of-range')
  })

  it('loses a meeting and gives it back', () => {
    const after = applyCommand(empty, lose, known)
    expect(after.value?.changes).toEqual([lost])
    expect(applyCommand(after.value as ClassPacing, inverseOf(lose), known).value).toEqual(empty)
  })

  it('refuses to lose a meeting that is not there, or twice', () => {
    expect(
      applyCommand(
        empty,
        { ...lose, on: isoDay('2026-09-05'), to: { ...lost, on: isoDay('2026-09-05') } } as ClassCommand,
        known,
      ).error?.code,
    ).toBe('pacing/no-such-meeting')
    expect(applyCommand({ ...empty, changes: [lost] }, lose, known).error?.code).toBe(
      'pacing/changed-meanwhile',
    )
  })

  it('keeps changes in order of time', () => {
    const later = { ...lost, on: isoDay('2026-09-08') }
    const got = applyCommand({ ...empty, changes: [later] }, lose, known)
    expect(got.value?.changes.map((c) => c.on)).toEqual(['2026-09-01', '2026-09-08'])
  })

  it('restores the very same bytes when a run of acts is undone', () => {
    const acts = fc.array(
      fc.record({ lesson: fc.constantFrom('a', 'b'), to: fc.option(fc.integer({ min: 1, max: 40 })) }),
      { minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(acts, (list) => {
        let now: ClassPacing = { ...AS_PLANNED, lengths: { [ids.lesson('b')]: 2 }, changes: [lost] }
        const start = JSON.stringify(now)
        const done: ClassCommand[] = []
        for (const { lesson, to } of list) {
          const command = length(lesson, now.lengths[ids.lesson(lesson)] ?? null, to)
          const next = applyCommand(now, command, known)
          if (!next.ok) continue
          now = next.value
          done.push(command)
        }
        for (const command of done.reverse())
          now = applyCommand(now, inverseOf(command), known).value as ClassPacing
        expect(JSON.stringify(now)).toBe(start)
      }),
    )
  })
})

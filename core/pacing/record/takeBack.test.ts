import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aPlan, aYear, at, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { act, inverseOf } from '../command'
import type { PacingState } from '../command'
import { layOut } from '../layout'
import { AS_PLANNED, sequenceOf } from '../plan'
import type { ClassPacing } from '../plan'
import { recordLesson } from './record'
import type { Standing } from './record'
import { takeBack, takenBackWith } from './takeBack'

const classId = ids.class('c')
const year = aYear({ lastOn: isoDay('2026-09-25') })
const calendar = meetings(year, classId, onDays(1, 3, 5), [])
const plan = aPlan([aLesson('a'), aLesson('b', 0.5), aLesson('c'), aLesson('d')])
const now = at('09-14T12:00')

const stateOf = (pacing: ClassPacing): PacingState => ({
  year,
  plans: new Map([[plan.id, plan]]),
  classes: new Map([[classId, { planId: plan.id, pattern: onDays(1, 3, 5), pacing }]]),
})
const standing = (pacing: ClassPacing): Standing => ({
  classId,
  sequence: sequenceOf(plan, pacing),
  pacing,
  layout: layOut(plan, calendar.meetings, { pacing }),
  meetings: calendar.meetings,
})
function covered(id: string, pacing: ClassPacing = AS_PLANNED): ClassPacing {
  const got = recordLesson(standing(pacing), ids.lesson(id), { as: 'covered' }, now)
  const next = got.ok ? act(stateOf(pacing), got.value) : got
  return (next.value as PacingState).classes.get(classId)?.pacing as ClassPacing
}

describe('takeBack', () => {
  const lived = covered('c')

  it('takes a record back with those behind it, and goes on from what is left', () => {
    // a on 31 Aug, b half of 2 Sep, c the other half and half of 4 Sep
    expect(lived.through).toEqual({ on: '2026-09-04', startMinute: 540, halves: 1 })
    const command = takeBack(standing(lived), ids.lesson('b'))
    const next = act(stateOf(lived), command.value as never)
    const pacing = next.value?.classes.get(classId)?.pacing as ClassPacing
    expect(Object.keys(pacing.records)).toEqual(['a'])
    expect(pacing.through).toEqual({ on: '2026-08-31', startMinute: 540, halves: 2 })
    expect(takenBackWith(standing(lived), ids.lesson('b'))).toEqual(['b', 'c'])
  })

  it('leaves the first half of a meeting to the lesson that was held there', () => {
    const command = takeBack(standing(lived), ids.lesson('c'))
    const next = act(stateOf(lived), command.value as never)
    expect(next.value?.classes.get(classId)?.pacing.through).toEqual({
      on: '2026-09-02',
      startMinute: 540,
      halves: 1,
    })
  })

  it('takes everything back from the first lesson, and is itself undone', () => {
    const command = takeBack(standing(lived), ids.lesson('a'))
    if (!command.ok) throw new Error('refused')
    const next = act(stateOf(lived), command.value)
    expect(next.value?.classes.get(classId)?.pacing).toEqual(AS_PLANNED)
    const undone = act(next.value as PacingState, inverseOf(command.value))
    expect(undone.value?.classes.get(classId)?.pacing).toEqual(lived)
  })

  it('refuses where nothing is recorded', () => {
    expect(takeBack(standing(lived), ids.lesson('d')).error).toEqual({
      code: 'pacing/not-recorded',
      field: 'lessonId',
      lesson: 'd',
    })
  })
})

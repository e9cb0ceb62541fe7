import { expect, it } from 'vitest'
import type { ClassId, PlanId, StandingId, LessonId } from '../base'
import { sayAct } from '.'
import type { JournalCommand } from '.'

it('shows a planning act as it is', () => {
  const act: JournalCommand = {
    kind: 'length',
    classId: 'c1' as ClassId,
    lessonId: 'l1' as LessonId,
    from: 1,
    to: 2,
  }
  expect(sayAct(act)).toBe(act)
})

it('leaves out of headings what only undo needs', () => {
  const filing = { headings: [], categories: [] }
  const act: JournalCommand = {
    kind: 'filing',
    classId: 'c1' as ClassId,
    from: filing,
    to: filing,
    works: [],
  }
  expect(sayAct(act)).toEqual({ kind: 'filing', classId: 'c1', works: 0 })
})

it('says of standing work which plan it was of, not all that it held', () => {
  const act: JournalCommand = {
    kind: 'standing',
    planId: 'p1' as PlanId,
    standingId: 's1' as StandingId,
    from: null,
    to: null,
  }
  expect(sayAct(act)).not.toHaveProperty('to')
  expect(sayAct(act)).toMatchObject({ kind: 'standing', planId: 'p1' })
})

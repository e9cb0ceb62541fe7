import { expect, it } from 'vitest'
import type { ClassId, LessonId, PlanId, ResourceId, StandingId, TrailId } from '../base'
import { EMPTY_LAYER } from '../versions'
import type { Layer } from '../versions'
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

it('says of a version whether it was laid, changed or taken off, not what it holds', () => {
  const act = (from: Layer | null, to: Layer | null): JournalCommand => ({
    kind: 'layer',
    resourceId: 'p1' as ResourceId,
    trailId: 't1' as TrailId,
    title: 'Essay',
    from,
    to,
  })
  const said = [act(null, EMPTY_LAYER), act(EMPTY_LAYER, EMPTY_LAYER), act(EMPTY_LAYER, null)].map(sayAct)
  expect(said).toEqual(
    ['laid', 'changed', 'taken-off'].map((what) => ({ kind: 'layer', title: 'Essay', what })),
  )
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

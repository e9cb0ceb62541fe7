import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { SchoolId } from '../base'
import { ids } from '../../tests/support/made'
import {
  canArchiveClass,
  canAssignTo,
  canEditPlan,
  canEditYear,
  canRunClass,
  canSeeClass,
  canSeePlan,
  canSeeResource,
  canSeeWork,
  canWriteResource,
} from './predicates'
import type { Actor } from './types'

const school = asId<SchoolId>('s')
const other = asId<SchoolId>('t')
const actor = (id: string, role: Actor['role'], part: Partial<Actor> = {}): Actor => ({
  userId: ids.user(id),
  schoolId: school,
  role,
  office: false,
  ...part,
})
const people = {
  teacher: actor('tea', 'teacher', { office: true }),
  colleague: actor('col', 'teacher'),
  stranger: actor('str', 'teacher', { schoolId: other }),
  lead: actor('lea', 'lead'),
  strangeLead: actor('sle', 'lead', { schoolId: other }),
  learner: actor('ler', 'learner', { office: true }),
}
const who = (may: (a: Actor) => boolean) =>
  Object.entries(people)
    .filter(([, a]) => may(a))
    .map(([name]) => name)
const of = {
  schoolId: school,
  isShared: true,
  teacherIds: [ids.user('tea')],
  ownerId: ids.user('tea'),
  authorId: ids.user('tea'),
  classTeacherIds: [ids.user('col')],
}

describe('who may do what', () => {
  it('archives a class for everybody: who made it, and the office where it teaches there', () => {
    const two = { ...of, teacherIds: [ids.user('col'), ids.user('tea')] }
    expect(who((a) => canArchiveClass(a, of))).toEqual(['teacher'])
    expect(who((a) => canArchiveClass(a, two))).toEqual(['teacher', 'colleague'])
    const third = { ...of, teacherIds: [ids.user('tea'), ids.user('col')] }
    expect(who((a) => canArchiveClass(a, third))).toEqual(['teacher'])
  })

  it('runs a class and assigns to it: its teachers only', () => {
    expect(who((a) => canRunClass(a, of))).toEqual(['teacher'])
    expect(who((a) => canAssignTo(a, of))).toEqual(['teacher'])
  })

  it('sees a class: its teachers and the lead of the school', () => {
    expect(who((a) => canSeeClass(a, of))).toEqual(['teacher', 'lead'])
  })

  it('changes the year: the office of the school, never a learner', () => {
    expect(who((a) => canEditYear(a, school))).toEqual(['teacher'])
  })

  it('reads a plan: teachers of the school; changes it: its owner', () => {
    expect(who((a) => canSeePlan(a, of))).toEqual(['teacher', 'colleague', 'lead'])
    expect(who((a) => canEditPlan(a, of))).toEqual(['teacher'])
  })

  it('reads textbooks: any teacher; own pieces: the same school; changes: who wrote it', () => {
    expect(who((a) => canSeeResource(a, { schoolId: null, ownerId: null, isShared: true }))).toEqual([
      'teacher',
      'colleague',
      'stranger',
      'lead',
      'strangeLead',
    ])
    expect(who((a) => canSeeResource(a, of))).toEqual(['teacher', 'colleague', 'lead'])
    expect(who((a) => canSeeResource(a, { ...of, isShared: false }))).toEqual(['teacher'])
    expect(who((a) => canWriteResource(a, of))).toEqual(['teacher'])
  })

  it('changes work: its author and the teachers of its classes', () => {
    expect(who((a) => canSeeWork(a, of))).toEqual(['teacher', 'colleague'])
  })
})

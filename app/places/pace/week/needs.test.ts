import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId } from '#core/base'
import type { WeekAhead, WeekNeeds } from '#shared/contracts/week'
import { needsOf, sayNames } from './needs'

const classId = asId<ClassId>('7e')
const work = asId<AssignmentId>('w')
const mondayOn = isoDay('2026-09-07')
const held = {
  assignmentId: work,
  title: 'Test',
  what: 'opens' as const,
  at: 0 as Instant,
  isHeld: true,
}
const week = (moments: readonly (typeof held)[]): WeekAhead => ({
  mondayOn,
  zone: 'America/Denver',
  now: 0 as Instant,
  sums: { meetings: 0, ready: 0, notReady: 0, opens: 0, due: 0 },
  closures: [],
  classes: [
    {
      classId,
      name: 'Science 7 E',
      shortName: '7 E',
      learners: 2,
      hasPlan: true,
      days: [{ on: mondayOn, meetings: [], lost: [], moments }],
    },
  ],
})
const quiet: WeekNeeds = {
  late: [],
  queued: [],
  toScore: [],
  classes: [
    {
      classId,
      name: 'Science 7 E',
      planId: null,
      stuck: [],
      offers: 0,
      unreleased: [],
      heavy: [],
      ownTerms: [],
    },
  ],
}

describe('what needs the teacher', () => {
  it('is nothing when nothing waits', () => {
    expect(needsOf(week([]), quiet)).toEqual([])
  })

  it('names held work once, before texts, and people last', () => {
    const needs: WeekNeeds = {
      late: [{ classId, assignmentId: work, title: 'Check', learners: 1 }],
      queued: [],
      toScore: [
        { classId, assignmentId: work, pieceId: asId<PieceId>('p1'), title: 'Report', texts: 12, scored: 3 },
      ],
      classes: [{ ...quiet.classes[0]!, ownTerms: ['Ann'], stuck: ['Bo'], offers: 2 }],
    }
    const lines = needsOf(week([held, { ...held, isHeld: true }]), needs)
    expect(lines.map((l) => `${l.text}: ${l.about}`)).toEqual([
      '“Test” is held: 7 E',
      '12 texts to score, 3 scores to release: Report, 7 E',
      '2 changes of the plan: offered to Science 7 E',
      '1 learner long at the most support: Bo, Science 7 E',
      '1 learner late: Check, 7 E',
      '1 learner with terms of their own: Ann, Science 7 E',
    ])
    expect(lines[1]?.to).toEqual({ path: '/evidence/queue', query: { work: 'w', piece: 'p1', class: '7e' } })
  })

  it('names three people and counts the rest', () => {
    expect([
      sayNames([]),
      sayNames(['A']),
      sayNames(['A', 'B', 'C']),
      sayNames(['A', 'B', 'C', 'D', 'E']),
    ]).toEqual(['', 'A', 'A, B and C', 'A, B, C and 2 more'])
  })
})

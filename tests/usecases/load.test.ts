import { describe, expect, it } from 'vitest'
import { NO_WINDOW } from '#core/availability'
import { isoDay, mondayOf, mustBeOk } from '#core/base'
import { zoneOf } from '#core/calendar'
import { giveMore } from '#usecases/work/giveMore'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { showHeavyWeeks, showLoad, showLoadOf } from '#usecases/load/showLoad'
import { aSchool, publish } from '../support/world'

const DUE = { ...NO_WINDOW, due: { kind: 'day' as const, on: isoDay('2026-09-09') } }

describe('what the learners of a class carry', () => {
  it('counts the minutes of all their work on its days, and what is over the limits', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, ben, a } = school
    const empty = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'due' }), 'empty')
    expect(empty.load.learners.every((l) => l.days.every((m) => m === 0))).toBe(true)
    await publish(school, { window: DUE })
    const shown = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'due' }), 'load')
    const total = (id: string) =>
      shown.load.learners.find((l) => l.learnerId === id)?.days.reduce((x, y) => x + y, 0)
    const pieces = mustBeOk(
      await showLoadOf(deps, teacher, { classId: a.classId, learnerId: ann.userId }),
      'of',
    )
    expect(pieces.pieces).toHaveLength(1)
    const [piece] = pieces.pieces
    expect(piece?.throughOn).toBe('2026-09-09')
    expect(total(ann.userId)).toBe(piece?.minutes)
    expect(total(ben.userId)).toBe(piece?.minutes)
    const week = shown.load.weeks.indexOf(mondayOf(piece!.throughOn))
    expect(shown.load.learners.find((l) => l.learnerId === ann.userId)?.pieces[week]).toBe(1)
    expect(zoneOf(shown.zone).local(shown.now).on >= shown.load.days[0]!).toBe(true)
  })

  it('leaves out who is excused, and what is taken back', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, a } = school
    const work = await publish(school, { window: DUE })
    const more = { kind: 'excused' as const }
    mustBeOk(await giveMore(deps, teacher, { assignmentId: work, learnerIds: [ann.userId], more }), 'excuse')
    const of = { classId: a.classId, learnerId: ann.userId }
    expect(mustBeOk(await showLoadOf(deps, teacher, of), 'of').pieces).toEqual([])
    const back = { assignmentId: work, version: 2 }
    mustBeOk(await withdrawWork(deps, teacher, back), 'back')
    const shown = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'window' }), 'load')
    expect(shown.load.learners.flatMap((l) => l.pieces).every((n) => n === 0)).toBe(true)
  })

  it('tells weeks in which learners carry more than the limits, and how many they are', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, a } = school
    const heavy = async () =>
      mustBeOk(await showHeavyWeeks(deps, teacher, { classId: a.classId }), 'heavy').weeks
    // six pieces are one more than is usual for a week
    for (let n = 1; n <= 5; n++) await publish(school, { title: `Work ${n}`, window: DUE })
    expect(await heavy()).toEqual([])
    await publish(school, { title: 'Work 6', window: DUE, exceptIds: [ann.userId] })
    expect((await heavy()).map((w) => w.learners)).toEqual([1])
  })

  it('is for those who may see the class', async () => {
    const { deps, stranger, ann, teacher, a } = await aSchool()
    for (const who of [stranger, ann]) {
      expect((await showLoad(deps, who, { classId: a.classId, spread: 'due' })).error?.code).toBe(
        'access/not-found',
      )
      const of = { classId: a.classId, learnerId: ann.userId }
      expect((await showLoadOf(deps, who, of)).error?.code).toBe('access/not-found')
      const heavy = await showHeavyWeeks(deps, who, { classId: a.classId })
      expect(heavy.error?.code).toBe('access/not-found')
    }
    const other = { classId: a.classId, learnerId: teacher.userId }
    expect((await showLoadOf(deps, teacher, other)).error?.code).toBe('access/not-found')
  })
})

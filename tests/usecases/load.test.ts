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
    expect(empty.learners.every((l) => l.minutes.every((m) => m === 0))).toBe(true)
    await publish(school, { window: DUE })
    const shown = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'due' }), 'load')
    const total = (id: string) => shown.learners.find((l) => l.id === id)?.minutes.reduce((x, y) => x + y, 0)
    const of = { classId: a.classId, learnerId: ann.userId, spread: 'due' as const }
    const { pieces, load, heavyDays } = mustBeOk(await showLoadOf(deps, teacher, of), 'of')
    expect([pieces.length, heavyDays]).toEqual([1, []])
    const [piece] = pieces
    expect(load.learners[0]?.days[load.days.indexOf(piece!.throughOn)]).toBe(piece!.minutes)
    expect(piece?.throughOn).toBe('2026-09-09')
    expect(total(ann.userId)).toBe(piece?.minutes)
    expect(total(ben.userId)).toBe(piece?.minutes)
    const week = shown.weeks.indexOf(mondayOf(piece!.throughOn))
    expect(shown.learners.find((l) => l.id === ann.userId)?.pieces[week]).toBe(1)
    expect(zoneOf(shown.zone).local(shown.now).on >= shown.weeks[0]!).toBe(true)
  })

  it('leaves out who is excused, and what is taken back', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, a } = school
    const work = await publish(school, { window: DUE })
    const more = { kind: 'excused' as const }
    mustBeOk(await giveMore(deps, teacher, { assignmentId: work, learnerIds: [ann.userId], more }), 'excuse')
    const of = { classId: a.classId, learnerId: ann.userId, spread: 'due' as const }
    expect(mustBeOk(await showLoadOf(deps, teacher, of), 'of').pieces).toEqual([])
    const back = { assignmentId: work, version: 2 }
    mustBeOk(await withdrawWork(deps, teacher, back), 'back')
    const shown = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'window' }), 'load')
    expect(shown.learners.flatMap((l) => l.pieces).every((n) => n === 0)).toBe(true)
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
    const shown = mustBeOk(await showLoad(deps, teacher, { classId: a.classId, spread: 'due' }), 'load')
    const places = shown.learners.map((l) => l.heavyWeeks.map((place) => shown.weeks[place]))
    expect(places.flat()).toEqual([mondayOf(isoDay('2026-09-09'))])
  })

  it('is for those who may see the class', async () => {
    const { deps, stranger, ann, teacher, a } = await aSchool()
    expect((await showLoad(deps, stranger, { classId: a.classId, spread: 'due' })).error?.code).toBe(
      'access/not-found',
    )
    const of = { classId: a.classId, learnerId: ann.userId, spread: 'due' as const }
    expect((await showLoadOf(deps, stranger, of)).error?.code).toBe('access/not-found')
    const heavy = await showHeavyWeeks(deps, stranger, { classId: a.classId })
    expect(heavy.error?.code).toBe('access/not-found')
    const other = { classId: a.classId, learnerId: teacher.userId, spread: 'due' as const }
    expect((await showLoadOf(deps, teacher, other)).error?.code).toBe('access/not-found')
  })
})

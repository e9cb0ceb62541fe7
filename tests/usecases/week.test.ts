import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import { assign } from '#usecases/work/assign'
import { previewWork } from '#usecases/work/previewWork'
import { showNeeds } from '#usecases/week/showNeeds'
import { showWeek } from '#usecases/week/showWeek'
import { handIn, startTry } from '#usecases/learning/tries'
import { at, only } from '../support/made'
import { aDraft, aSchool, anchored, publish, through } from '../support/world'

const MONDAY = isoDay('2026-08-31')

describe('the week ahead', () => {
  it('holds the meetings of one’s own classes, what hangs on their lessons and what lacks', async () => {
    const school = await aSchool()
    const { deps, teacher, lesson, clock } = school
    clock.set(at('08-30T12:00'))
    const window = {
      listed: null,
      opens: anchored(lesson('1.1'), 'first'),
      due: anchored(lesson('1.1'), 'last', 1),
      closes: null,
      putAway: null,
    }
    await publish(school, { window })
    const heldFor = { ...window, opens: anchored(lesson('1.2'), 'first'), due: null }
    const held = { draft: aDraft(school, { title: 'Held', window: heldFor }), publish: false }
    mustBeOk(await assign(deps, teacher, held), 'held')
    const week = mustBeOk(await showWeek(deps, teacher, { on: MONDAY }), 'week')
    // class A meets on Mon, Wed and Fri, class B on Tue and Thu
    expect(week.classes.map((c) => c.days.map((day) => day.meetings.length))).toEqual([
      [1, 0, 1, 0, 1, 0, 0],
      [0, 1, 0, 1, 0, 0, 0],
    ])
    const said = week.classes[0]!.days.flatMap((day) =>
      day.meetings.flatMap((m) =>
        m.lessons.map((l) => `${day.on.slice(8)} ${l.number} ${l.missing.map((x) => x.code).join()}`),
      ),
    )
    // 1 meeting, then 1½ from Wednesday on; what begins in the middle of Friday has nothing yet
    expect(said).toEqual(['31 1.1 ', '02 1.2 held', '04 1.2 ', '04 1.3 no-work'])
    const moments = week.classes[0]!.days.flatMap((day) => day.moments.map((m) => `${m.what} ${m.title}`))
    expect(moments).toEqual(['opens Check', 'opens Held', 'due Check'])
    expect(week.sums).toMatchObject({ meetings: 5, opens: 4, due: 2 })
  })

  it('names who is late, and no longer once it is handed in', async () => {
    const school = await aSchool()
    const { deps, teacher, ann, clock } = school
    const window = { ...aDraft(school).window, due: through('2026-09-03'), closes: through('2026-09-09') }
    const work = await publish(school, { window })
    clock.set(at('09-04T12:00'))
    const late = async () => {
      const { late } = mustBeOk(await showNeeds(deps, teacher, { mondayOn: MONDAY }), 'needs')
      return late.map((l) => [l.title, l.learners]).sort()
    }
    expect(await late()).toEqual([
      ['Check', 1],
      ['Check', 2],
    ])
    const { attemptId } = mustBeOk(await startTry(deps, ann, only(work)), 'start')
    mustBeOk(await handIn(deps, ann, { attemptId, saves: [] }), 'hand in')
    expect(await late()).toEqual([
      ['Check', 1],
      ['Check', 1],
    ])
  })

  it('names who carries too much, as the last look does before more is given', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const window = { ...aDraft(school).window, opens: through('2026-09-07'), due: through('2026-09-09') }
    for (let i = 0; i < 5; i++) await publish(school, { title: `Work ${i}`, window })
    const draft = aDraft(school, { title: 'One more', window })
    const { cautions } = mustBeOk(await previewWork(deps, teacher, { assignmentId: null, draft }), 'look')
    const heavy = cautions.filter((c) => c.code === 'heavy-week')
    expect(heavy.map((c) => [c.mondayOn, c.learnerIds.length])).toEqual([
      ['2026-09-07', 2],
      ['2026-09-07', 1],
    ])
    const needs = async () => {
      const { classes } = mustBeOk(
        await showNeeds(deps, teacher, { mondayOn: isoDay('2026-09-07') }),
        'needs',
      )
      return classes.map((c) => c.heavy)
    }
    expect(await needs()).toEqual([[], []])
    mustBeOk(await assign(deps, teacher, { draft, publish: true }), 'publish')
    expect(await needs()).toEqual([['Ann Ash', 'Ben Birch'], ['Cleo Cedar']])
  })

  it('is empty for who teaches nobody here', async () => {
    const { deps, stranger } = await aSchool()
    expect(mustBeOk(await showWeek(deps, stranger, { on: null }), 'week').classes).toEqual([])
    expect(mustBeOk(await showNeeds(deps, stranger, { mondayOn: MONDAY }), 'needs').classes).toEqual([])
  })
})

import { describe, expect, it } from 'vitest'
import { isoDay, mustBeOk } from '#core/base'
import type { Teacher } from '#core/access'
import { listMyWork } from '#usecases/learning/myWork'
import { mailNotices } from '#usecases/notices/mailNotices'
import { showOutbox } from '#usecases/notices/showOutbox'
import { listMyNotices, readMyNotices } from '#usecases/notices/myNotices'
import { undo } from '#usecases/journal/journal'
import { giveMore } from '#usecases/work/giveMore'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { at } from '../support/made'
import { aColleague, aDraft, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const told = async (school: TestSchool, who = school.ann) =>
  mustBeOk(await listMyNotices(school.deps, who), 'notices').notices.map((n) => [n.kind, n.title, n.isRead])
const unread = async (school: TestSchool) =>
  mustBeOk(await listMyWork(school.deps, school.ann), 'list').unread

describe('what learners are told', () => {
  it('is new work, not before it is listed, and is read once', async () => {
    const school = await aSchool()
    const window = { ...aDraft(school).window, due: through('2026-09-08') }
    await publish(school, { title: 'Open', window })
    await publish(school, {
      title: 'Later',
      window: { ...window, listed: { kind: 'day', on: isoDay('2026-09-03') } },
    })
    expect(await told(school)).toEqual([['new', 'Open', false]])
    expect(await unread(school)).toBe(1)
    mustBeOk(await readMyNotices(school.deps, school.ann), 'read')
    expect([await unread(school), await told(school)]).toEqual([0, [['new', 'Open', true]]])
    school.clock.set(at('09-03T12:00'))
    expect(await told(school)).toEqual([
      ['new', 'Later', false],
      ['new', 'Open', true],
    ])
    // after three weeks it is news no longer
    school.clock.set(at('09-23T12:00'))
    expect(await told(school)).toEqual([['new', 'Later', false]])
  })

  it('is more time for whom it was given to, and that work was taken back', async () => {
    const school = await aSchool()
    const id = await publish(school, { window: { ...aDraft(school).window, due: through('2026-09-04') } })
    mustBeOk(await readMyNotices(school.deps, school.ann), 'read')
    mustBeOk(
      await giveMore(school.deps, school.teacher, {
        assignmentId: id,
        learnerIds: [school.ann.userId],
        more: { kind: 'until', on: isoDay('2026-09-10') },
      }),
      'more time',
    )
    const [first] = mustBeOk(await listMyNotices(school.deps, school.ann), 'notices').notices
    expect(first).toMatchObject({ kind: 'more-time', dueAt: at('09-11T06:00') })
    expect(await told(school, school.ben)).toEqual([['new', 'Check', false]])
    const withdraw = { assignmentId: id, version: 2 }
    mustBeOk(await withdrawWork(school.deps, school.teacher, withdraw), 'withdraw')
    // what is no longer theirs is told of as that alone
    expect(await told(school)).toEqual([['taken-back', 'Check', false]])
    mustBeOk(await undo(school.deps, school.teacher), 'undo')
    expect((await told(school)).map(([kind]) => kind)).not.toContain('taken-back')
  })

  it('is mailed once, one letter a learner, and nothing of what is not listed', async () => {
    const school = await aSchool()
    const window = { ...aDraft(school).window, due: through('2026-09-08') }
    await publish(school, { title: 'One', window })
    await publish(school, { title: 'Two', window })
    await publish(school, {
      title: 'Later',
      window: { ...window, listed: { kind: 'day', on: isoDay('2026-09-03') } },
    })
    expect(await mailNotices(school.deps)).toBe(3)
    const letter = school.letters().find((l) => l.to.signIn === 'ann.ash')
    expect(letter).toMatchObject({
      to: { name: 'Ann Ash' },
      zone: 'America/Denver',
      lines: [
        { kind: 'new', title: 'One', dueAt: at('09-09T06:00') },
        { kind: 'new', title: 'Two' },
      ],
    })
    const read = async (who: Teacher) =>
      (await showOutbox(school.deps, who, school.letters())).value.letters.map((l) => l.to.name).sort()
    expect(await read(school.teacher)).toEqual(['Ann Ash', 'Ben Birch', 'Cleo Cedar'])
    expect(await read(await aColleague(school))).toEqual(['Cleo Cedar'])
    expect(await read(school.stranger)).toEqual([])
    expect(await mailNotices(school.deps)).toBe(0)
    school.clock.set(at('09-03T12:00'))
    expect(await mailNotices(school.deps)).toBe(3)
    expect(school.letters()[0]?.lines.map((l) => l.title)).toEqual(['Later'])
  })

  it('is the learner’s own', async () => {
    const school = await aSchool()
    await publish(school)
    mustBeOk(await readMyNotices(school.deps, school.ben), 'read')
    expect(await told(school)).toEqual([['new', 'Check', false]])
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { DoCommand, ShowDesk, Undo } from '#shared/contracts/pacing'
import type { FixedDate } from '#core/pacing'
import { isoDay } from '#core/base'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Agent, Running } from '../support/server'

withBrowser()
let server: Running
let imani: Agent
beforeAll(async () => {
  server = await aServer('demo')
  imani = await signedIn(server, 'imani')
})

const RECORD = '[data-hook="lesson-record"]'
const MEETINGS = '[aria-label="Meetings of this lesson"]'

async function openCovered(p: Person, section: string, lesson: string): Promise<void> {
  await p.page.locator(`button[aria-label^="${section}"][aria-label*="lesson ${lesson} "]`).click()
  await p.seesIn(RECORD, 'Covered, finished')
}

describe('what was recorded', () => {
  it('stays when its day is called off afterwards, and says so; the meeting can be given back', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await openCovered(p, 'Science 8 A', 'W2.1')
    await p.seesIn(MEETINGS, 'Mon 28 Sep, 8:30 am 80 min')
    await p.page.locator(`${MEETINGS} li:first-of-type [data-hook="lose"]`).click()
    await p.sees('You see what that moves')
    await p.press('See what it moves')
    await p.seesIn(
      RECORD,
      'Recorded on Mon 28 Sep, which is no longer a meeting of the class. What happened stays.',
    )
    await p.seesIn(MEETINGS, 'no longer a meeting')
    // nothing has moved: the stone stands on its day as before
    await p.has('button[aria-label^="Science 8 A, Mon 28 Sep"][aria-label*="lesson W2.1 "]')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await openCovered(p, 'Science 8 A', 'W2.1')
    // shown at once, and kept only when the server has it: whoever comes next goes by that
    const kept = p.page.waitForResponse((reply) => reply.request().method() === 'POST' && reply.ok())
    await p.page.locator(`${MEETINGS} [data-hook="give-back"]`).click()
    await p.seesIn(MEETINGS, 'Mon 28 Sep, 8:30 am 80 min')
    await kept
    expect(await p.text(RECORD)).not.toContain('no longer a meeting')
    p.isQuiet()
  })

  it('is taken back from a lesson on, twice, and undo brings it back', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    for (let time = 0; time < 2; time++) {
      await openCovered(p, 'Science 8 A', 'W2.1')
      await p.seesIn(RECORD, 'Take the record back and of')
      // what was held is over: nothing else is offered for it
      expect(await p.page.$$(`${RECORD} [data-hook="record-took"], [data-hook="lesson-fixed"]`)).toEqual([])
      // the class went as laid out, so that nothing moves and nothing is asked
      await p.click('take-back')
      await p.seesIn(RECORD, 'Goes on, 1 more meeting')
      await p.seesIn('[data-hook="undo"]', 'record taken back from W2.1 on')
      await p.keys('Control+z')
      await p.seesIn(RECORD, 'Covered, finished')
    }
    p.isQuiet()
  })
})

describe('a stretch that cannot fit', () => {
  it('is shown with what is missing before anything is applied, and nothing is cut in vain', async () => {
    const desk = (await imani.call(ShowDesk)).value
    const room = desk?.classes.find((c) => c.shortName === '8 A')
    const test = desk?.plans.find((l) => l.id === room?.planId)?.lessons.find((l) => l.number === 'W2.7')
    if (!room || !test) throw new Error('The demo has no test W2.7 in 8 A.')
    const to: FixedDate = { kind: 'on', on: isoDay('2026-10-20') }
    const fixed = await imani.call(DoCommand, {
      body: { kind: 'lesson', classId: room.id, lessonId: test.id, part: 'fixed', from: null, to },
    })
    expect(fixed.error).toBeUndefined()
    const p = await demoPerson(server, 'imani', `/pace/fit?class=${room.id}`)
    await p.seesIn('[data-hook="cannot-fit"]', 'It cannot fit, even with everything at its least')
    await p.seesIn('[data-hook="short-by"]', 'W2.5, before W2.7: 1 meeting short at the least.')
    await p.seesIn('[data-hook="cannot-fit"]', 'nothing is cut')
    expect(await p.page.$$('[data-hook="cuts"], [data-hook="apply-fit"]')).toEqual([])
    await p.isAccessible()
    expect((await imani.call(Undo)).ok).toBe(true)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.sees('Everything fits.')
    p.isQuiet()
  })
})

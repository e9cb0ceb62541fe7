import { beforeAll, describe, expect, it } from 'vitest'
import { addDays, isoDay } from '#core/base'
import { visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('empty')
})

const ROSTER = 'name\nAda Fern\nBo Lind\nCleo Marsh\nDan Oake\nEve Pine'
/** A year that is under way wherever the test runs. */
const today = isoDay(new Date().toISOString().slice(0, 10))
const firstOn = addDays(today, -90)
const lastOn = addDays(today, 180)

/** Does what a hand does, and counts presses and fields. */
function counted(p: Person) {
  let acts = 0
  const one = async (act: Promise<void>) => {
    acts++
    await act
  }
  return {
    click: (hook: string) => one(p.click(hook)),
    press: (words: string) => one(p.press(words)),
    fill: (selector: string, value: string) => one(p.fill(selector, value)),
    acts: () => acts,
  }
}

describe('from an empty school, in the middle of the year', () => {
  it('takes at most 25 fields and presses to the first piece that is given', async () => {
    const t = await visit(server)
    const hand = counted(t)
    await hand.press('Set up a school')
    await hand.fill('[name="school"]', 'Birch Hill School')
    await hand.fill('[name="name"]', 'Petra Quist')
    await hand.fill('[name="signIn"]', 'petra')
    await hand.fill('[name="password"]', 'long enough')
    await hand.click('send')
    await hand.click('next-step')
    await t.has('[name="firstOn"]')
    await hand.fill('[name="firstOn"]', firstOn)
    await hand.fill('[name="lastOn"]', lastOn)
    await hand.click('save-year')
    await t.sees('Make a class')
    await hand.click('next-step')
    await hand.fill('[name="name"]', 'Science 8 X')
    await hand.fill('[name="course"]', 'Science 8')
    await hand.click('save-class')
    await t.has('[data-hook="roster-import"]')
    await hand.fill('[data-hook="roster-import"] textarea', ROSTER)
    await hand.click('read-roster')
    await t.sees('5 learners to add')
    await hand.click('add-roster')
    await t.sees('5 learners added')

    // the shelf is empty, and something can be given all the same
    await t.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    await hand.press('Shelf')
    await t.sees('The shelf is empty')
    await hand.press('assign something in a line')
    await hand.fill('[name="quick-piece"]', 'p. 84, 1 to 9')
    await hand.press('Make it')
    await t.sees('Publish to 5 learners')
    await hand.click('publish')
    await t.sees('Published to 5 learners')
    expect(hand.acts()).toBeLessThanOrEqual(25)

    // it stands on the shelf afterwards
    await t.go('/shelf')
    await t.fill('[name="search-shelf"]', 'p. 84')
    await t.seesIn('[data-hook="found"]', '1 piece found')
    t.isQuiet()
  })

  it('lays a plan from today, with the lesson that is next, and nothing is behind', async () => {
    const t = await visit(server, '/sign-in')
    await t.fill('[name="signIn"]', 'petra')
    await t.fill('[name="password"]', 'long enough')
    await t.keys('Enter')
    await t.page.waitForFunction(() => !location.pathname.startsWith('/sign-in'))
    await t.go('/classes/plans')
    await t.fill('[name="title"]', 'Our order')
    await t.fill('[data-hook="outline-form"] [name="course"]', 'Science 8')
    await t.fill(
      '[data-hook="outline-form"] textarea',
      'unit,lesson,meetings\nVibrations,What a vibration is,1\n,Period,2\nWaves,Pulses,1.5',
    )
    await t.click('read-outline')
    await t.click('make-plan')
    await t.sees('The plan is made')
    await t.go('/classes/plans')
    await t.click('lay')
    await t.has('[data-hook="from-today"][aria-pressed="true"]')
    await t.isAccessible()
    await t.choose('[data-hook="next-lesson"]', '1.2 Period')
    await t.click('lay-out')
    await t.sees('All 2 lessons placed')
    await t.press('See it on the desk')
    await t.has('[data-lesson="1.2"]')
    expect(await t.page.$('[data-lesson="1.1"]')).toBeNull()
    t.isQuiet()
  })
})

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

/** The standing work of the plan of Science 8, from the desk. */
async function opensStanding(p: Person): Promise<void> {
  await p.click('desk-menu')
  await p.page.locator('::-p-aria([name="Standing work of the plan"][role="menuitem"])').click()
  await p.has('[data-hook="standing-W2.5"]')
}
const offers = (p: Person) =>
  p.page.$$eval('[data-hook="offers"] h2', (heads) => heads.map((h) => h.textContent.trim()))

/** Lays what is left of unit W2 on all three sections. */
async function laysUnit(p: Person): Promise<void> {
  await p.click('open-lay')
  await p.has('[data-hook="lay-sentence"]')
  await p.choose('[data-hook="lay-what"]', 'W2 Mechanical waves')
  await p.seesIn('[data-hook="lay-panel"]', 'Check: waves that meet')
  await p.seesIn('[data-hook="lay-panel"]', 'Science 8 B, 27 learners')
  await p.isAccessible()
  await p.page.locator('[data-hook="lay-work"]:not([disabled])').click()
  await p.sees('of work in 3 classes. Undo takes them back in one step.')
  await p.page.waitForSelector('[data-hook="lay-panel"]', { hidden: true })
}

/** Moves the due date of a lesson's check on by a meeting in the plan. */
async function changesPlan(p: Person): Promise<void> {
  await p.tap('[data-hook="standing-W2.5"]')
  const due = '[data-hook="standing-inspector"] fieldset:nth-of-type(2) [aria-label="Due: meetings later"]'
  await p.has(due)
  await p.page.waitForSelector('[data-slot="viewport"] li', { hidden: true })
  await p.isAccessible()
  await p.page.focus(due)
  await p.keys('Control+a', '3', 'Tab')
  await p.sees('Kept')
}

describe('standing work', () => {
  it('goes out by itself as the clock moves on; a change is taken by two sections, refused by one', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await opensStanding(p)
    expect(await offers(p)).toHaveLength(2)
    await laysUnit(p)
    const before = await demoPerson(server, 'noa')
    await before.has('[data-hook="work-now"]')
    expect(await before.text()).not.toContain('Check: waves that meet')
    await changesPlan(p)
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="offers"]').length === 3)
    for (const [section, hook, word] of [
      ['Science 8 A', 'take-all', 'Taken over'],
      ['Science 8 B', 'take-all', 'Taken over'],
      ['Science 8 C', 'leave-all', 'Left as it is'],
    ] as const) {
      await p.tap(`[aria-label="What the plan offers ${section}"] [data-hook="${hook}"]`)
      await p.sees(word)
      await p.page.waitForNetworkIdle()
    }
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="offers"]').length === 1)
    await p.seesIn('[data-hook="offers"]', 'left as it was')
    p.isQuiet()
    // a week later the lesson has come, and its work with it
    const { file } = server
    await server.stop()
    server = await aServer({ file }, { STEP_CAIRN_DEMO_NOW: '2026-10-29T20:30:00Z' })
    const after = await demoPerson(server, 'noa')
    await after.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-hook="work-now"] h3')].some((h) =>
        h.textContent.includes('Check: waves that meet'),
      ),
    )
    after.isQuiet()
  })

  it('is taken out of the plan and comes back; pieces of a lesson are added', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await opensStanding(p)
    await p.tap('[data-hook="standing-W3.1"]')
    const count = () => p.page.$$eval('[data-hook="standing-inspector"] fieldset', (f) => f.length)
    await p.has('[data-hook="standing-inspector"] fieldset')
    const had = await count()
    await p.tap('[data-hook="standing-inspector"] [data-hook="take-out"]')
    await p.sees('Taken out of the plan')
    await p.page.waitForFunction(
      (n) => document.querySelectorAll('[data-hook="standing-inspector"] fieldset').length === n - 1,
      {},
      had,
    )
    await p.page.waitForNetworkIdle()
    await p.click('undo')
    await p.page.waitForFunction(
      (n) => document.querySelectorAll('[data-hook="standing-inspector"] fieldset').length === n,
      {},
      had,
    )
    await p.tap('[data-hook="standing-inspector"] [data-hook="add-standing"]')
    await p.sees('1 piece added')
    await p.page.waitForFunction(
      (n) => document.querySelectorAll('[data-hook="standing-inspector"] fieldset').length === n + 1,
      {},
      had,
    )
    p.isQuiet()
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { PHONE, looksRight, looksRightOnPhone } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

const AFTER = 'Check: the pendulum'
/** Rows that are proposed. */
const rows = (p: Person) => p.page.$$eval('[data-hook="proposal"]', (list) => list.length)
async function followsUp(p: Person, check: string): Promise<void> {
  await p.click('follow-up-of')
  await p.page.locator(`::-p-aria([name="${check}"][role="option"])`).click()
  await p.page.waitForFunction(() => !document.querySelector('[role="listbox"]'))
  await p.seesIn('[data-hook="follow-up-of"]', check)
}
/** Chooses one of a list of choices by some of its words. */
async function chooses(p: Person, hook: string, choice: string): Promise<void> {
  await p.click(hook)
  await p.page.locator(`[role="option"] ::-p-text(${choice})`).click()
  await p.page.waitForFunction(() => !document.querySelector('[role="listbox"]'))
}

describe('follow-up of a check', () => {
  it('is proposed by what each missed, changed by key, given in one press, done by its learner, undone', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.click('to-follow-up')
    await p.has('[data-hook="proposal"]')
    // the guide of the textbook goes first
    await p.seesIn('[data-hook="follow-up"]', 'as the guide says')
    await followsUp(p, AFTER)
    await p.seesIn('[data-hook="give"]', 'Give 29 pieces to 19 learners')
    await looksRight(p)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="give"]', 'Give 29 pieces to 19 learners')
    // by keys: the second learner of the first group gets nothing
    const ticks = '[data-hook="proposal"] [data-row]'
    await p.page.focus(ticks)
    await p.keys('ArrowDown', 'Space')
    await p.seesIn('[data-hook="give"]', 'Give 28 pieces to 19 learners')
    await p.has('[data-hook="proposal"].declined')
    // one piece for all of a group who may have it
    expect(await rows(p)).toBe(29)
    await p.fill('[name="most-pieces"]', '1')
    await p.seesIn('[data-hook="give"]', 'Give 19 learners a piece')
    await p.seesIn('[data-hook="unanswered"]', 'it would be more pieces than you give')
    await p.fill('[name="most-pieces"]', '2')
    await p.seesIn('[data-hook="give"]', 'Give 28 pieces to 19 learners')
    await chooses(p, 'opens', 'At once')
    await chooses(p, 'then', 'The same again')
    await p.tap('[data-hook="give"]')
    await p.sees(`“After ${AFTER}” is given to 19 learners`)
    // what is given is not proposed again, but for what was declined
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="proposal"]').length <= 1)
    await p.seesIn('[data-hook="earlier"]', '0 of 19 learners handed something in')

    const learner = await demoPerson(server, 'noa')
    await learner.sees(`After ${AFTER}`)
    // a practice set and the check again: nothing of what others were given
    await learner.sees('0 of 2 steps done · 26 min')
    learner.isQuiet()

    await p.page.goto(`${server.address}/evidence`, { waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="undo"]', `After ${AFTER}`)
    await p.click('undo')
    await p.seesIn('[data-hook="redo"]', `After ${AFTER}`)
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.page.waitForFunction(
      (title) => !document.body.textContent.includes(title),
      {},
      `After ${AFTER}`,
    )
    p.isQuiet()
  })

  it('says who waits for room, and what became of earlier follow-up', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.press('Science 7 E')
    await p.click('to-follow-up')
    await p.has('[data-hook="proposal"]')
    await chooses(p, 'category', 'More practice, 1 piece at once')
    await p.seesIn('[data-hook="will-wait"]', 'until there is room under More practice')
    await p.page.goto(`${server.address}/evidence`, { waitUntil: 'networkidle0' })
    await p.press('Science 7 D')
    await p.click('to-follow-up')
    await followsUp(p, 'Check: density')
    await p.seesIn('[data-hook="earlier"]', '8 of 10 learners handed something in')
    await p.seesIn('[data-hook="earlier"]', 'tried again')
    p.isQuiet()
  })

  it('is found from those below 60 %, and fits a phone', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.has('[data-hook="column"]:not([disabled])')
    await p.page.locator('[data-hook="column"]:not([disabled])').click()
    await p.tap('[data-hook="follow-up-of-piece"]')
    await p.has('[data-hook="proposal"]')
    const phone = await demoPerson(server, 'imani', p.page.url().replace(server.address, ''), PHONE)
    await phone.has('[data-hook="proposal"]')
    await looksRightOnPhone(phone)
    p.isQuiet()
    phone.isQuiet()
  })
})

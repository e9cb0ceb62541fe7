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

/** How many learners are in each group. */
const sizes = (p: Person) =>
  p.page.$$eval('[data-hook="split-group"]', (groups) => groups.map((g) => g.querySelectorAll('li').length))
/** Picks a learner of a wish. */
async function picks(p: Person, which: 'first' | 'second', name: string): Promise<void> {
  await p.click(`wish-${which}`)
  await p.page.locator(`::-p-aria([name="${name}"][role="option"])`).click()
  await p.page.waitForFunction(() => !document.querySelector('[role="listbox"]'))
}

describe('a class split into groups', () => {
  it('goes by bounds, gaps and even groups with wishes, is changed by hand, kept, and used once', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.click('to-split')
    await p.has('[data-hook="split-group"]')
    const byBounds = await sizes(p)
    expect(byBounds).toHaveLength(3)
    expect(byBounds.reduce((a, b) => a + b, 0)).toBe(28)
    await p.fill('[name="bounds"]', 'much')
    await p.seesIn('[data-hook="no-groups"]', 'Bounds are whole per cents')
    await p.press('Where the scores leave gaps')
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="split-group"]').length === 3)
    await p.press('Even, mixed')
    await p.fill('[name="how-many"]', '5')
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="split-group"]').length === 5)
    expect((await sizes(p)).sort()).toEqual([5, 5, 6, 6, 6])
    await picks(p, 'first', 'Aroha Ibarra')
    await picks(p, 'second', 'Bilal Mensah')
    await p.click('wish-apart')
    await p.sees('Aroha Ibarra and Bilal Mensah apart')
    await picks(p, 'second', 'Bilal Mensah')
    await p.click('wish-together')
    await p.seesIn('[data-hook="no-groups"]', 'are to be together, by way of others, too, and apart')
    await p.press('Forget: Aroha Ibarra and Bilal Mensah apart')
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="split-group"]').length === 5)
    await looksRight(p)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="split-group"]')
    const before = await sizes(p)
    await p.page.locator('[data-hook="split-group"] .who').click()
    await p.tap('[data-hook="split-group"]:nth-child(2) [data-hook="move-here"]')
    await p.page.waitForFunction(
      (n) => document.querySelectorAll('[data-hook="split-group"]:nth-child(2) li').length === n,
      {},
      (before[1] ?? 0) + 1,
    )
    expect(await sizes(p)).toEqual([(before[0] ?? 0) - 1, (before[1] ?? 0) + 1, before[2]])
    await p.fill('[name="group-2"]', 'In the middle')
    await p.tap('[data-hook="keep-groups"]')
    await p.sees('3 groups kept in Science 8 A')
    await p.has('[data-hook="keep-groups"][disabled]')
    await p.tap('[data-hook="split-group"]:nth-child(2) [data-hook="give-group"]')
    await p.sees('Last look')
    await p.page.goBack({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="split-group"]')
    p.isQuiet()
  })

  it('asks for a class where none is said, and fits a phone', async () => {
    const p = await demoPerson(server, 'imani', '/evidence/split', PHONE)
    await p.seesIn('[data-hook="choose-class"]', 'Of which class?')
    await p.press('Science 8 A')
    await p.has('[data-hook="split-group"]')
    await looksRightOnPhone(p)
    p.isQuiet()
  })
})

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

describe('load', () => {
  it('is opened from the desk, walked by keys, and shows a learner’s week piece by piece', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.click('desk-menu')
    await p.page.locator('::-p-aria([name="Load by week"][role="menuitem"])').click()
    await p.has('[data-hook="load-table"] [data-cell]')
    await p.has('[data-hook="load-sentence"]')
    await p.isAccessible()
    // who carries most stands on top; the keys go from week to week, and to the next learner
    await p.page.focus('[data-cell][tabindex="0"]')
    const first = await p.focused()
    await p.keys('ArrowRight')
    expect(await p.focused()).not.toBe(first)
    await p.keys('ArrowLeft')
    expect(await p.focused()).toBe(first)
    await p.keys('Enter')
    await p.has('[data-hook="learner-days"] .pieces li')
    await p.isAccessible()
    await p.page.locator('[aria-label="Close the week"]').click()
    await p.page.waitForSelector('[data-hook="learner-days"]', { hidden: true })
    // the second time as the first
    await p.page.focus('[data-cell][tabindex="0"]')
    await p.keys('Enter')
    await p.has('[data-hook="learner-days"] .pieces li')
    await p.tap('::-p-text(on the day it is due)')
    await p.page.waitForSelector('[data-hook="learner-days"]', { hidden: true })
    await p.has('[data-hook="load-table"] [data-cell]')
    await p.tap('::-p-text(Science 7 E)')
    await p.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-hook="load-table"] th')].some(
        (e) => e.textContent === 'Bo Mensah',
      ),
    )
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="load-table"]', 'Bo Mensah')
    p.isQuiet()
  })
})

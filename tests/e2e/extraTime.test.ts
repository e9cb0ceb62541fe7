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

describe('a test for a class', () => {
  it('gives one learner more time in seven presses and the beginning of a name', async () => {
    const p = await demoPerson(server, 'imani', '/shelf?piece=piece-wav701')
    await p.choose('[data-hook="for-class"]', 'For Science 8 A')
    let presses = 0
    const press = async (act: Promise<void>) => {
      presses++
      await act
    }
    await press(p.click('assign'))
    await p.sees('Publish to 28 learners')
    await press(p.click('own-row'))
    await p.has('[role="listbox"]')
    await p.page.keyboard.type('noa')
    await press(p.keys('Enter'))
    await p.page.waitForFunction(() => !document.querySelector('[role="listbox"]'))
    // its moments and its limits stand in two lines of the table
    const limits = '[data-hook="limits"][aria-label*="of Noa"]'
    await press(p.tap(limits))
    await press(p.click('own-timeLimitMinutes'))
    // half as much again as everybody has
    expect(await p.page.$eval('[name="limit-timeLimitMinutes"]', (e) => (e as HTMLInputElement).value)).toBe(
      '60',
    )
    await p.isAccessible()
    await press(p.keys('Escape'))
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="limits-editor"]'))
    await p.seesIn(limits, '60 min')
    await p.sees('Publish to 28 learners')
    await press(p.click('publish'))
    await p.sees('Published to 28 learners')
    expect(presses).toBe(7)
    p.isQuiet()
  })
})

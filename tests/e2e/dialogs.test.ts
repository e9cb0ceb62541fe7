import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

const hookOfFocus = (p: Person) =>
  p.page.evaluate(() => (document.activeElement as HTMLElement | null)?.dataset.hook ?? '')

/** Opens a dialog, sees the focus go in, closes it by Escape, and sees the focus come back; twice. */
async function opensTwice(p: Person, title: string, open: () => Promise<void>, back: string): Promise<void> {
  for (let time = 1; time <= 2; time++) {
    await open()
    await p.seesIn('[role="dialog"]', title)
    await p.page.waitForFunction(() => document.activeElement?.closest('[role="dialog"]') !== null)
    await p.keys('Escape')
    await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    await p.page.waitForFunction(
      (hook) => (document.activeElement as HTMLElement | null)?.dataset.hook === hook,
      {},
      back,
    )
  }
}
const fromMenu = (p: Person, entry: string) => async () => {
  await p.click('desk-menu')
  await p.page.locator(`::-p-aria([name="${entry}"][role="menuitem"])`).click()
}

describe('every dialog works the second time as the first', () => {
  it('on the desk, by its buttons', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await opensTwice(p, 'Announce a day', () => p.click('announce'), 'announce')
    await opensTwice(p, 'Keys on the desk', () => p.click('shortcuts'), 'shortcuts')
    await opensTwice(p, 'Search and commands', () => p.click('palette'), 'palette')
    p.isQuiet()
  })

  it('on the desk, from its menu', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await opensTwice(p, 'What was changed', fromMenu(p, 'What was changed'), 'desk-menu')
    await opensTwice(p, 'Calendar files', fromMenu(p, 'Calendar files and feed'), 'desk-menu')
    p.isQuiet()
  })

  it('on the desk, by keys, with the focus back on the stone', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    await opensTwice(p, 'You see what that moves', () => p.keys('x'), 'stone')
    await opensTwice(p, 'Keys on the desk', () => p.keys('?'), 'stone')
    expect(await hookOfFocus(p)).toBe('stone')
    p.isQuiet()
  })

  it('on a phone, as a sheet of details', async () => {
    const p = await demoPerson(server, 'imani', '/pace', { width: 390, height: 844 })
    await p.has('button.selected')
    await opensTwice(p, 'Length here', () => p.click('toggle-details'), 'toggle-details')
    p.isQuiet()
  })
})

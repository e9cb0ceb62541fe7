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

describe('the focus stays near when what had it goes', () => {
  /** Waits until something within a part of the page has the focus, and tells what. */
  const hasIn = async (p: Person, part: string): Promise<string> => {
    await p.page.waitForFunction(
      (s) => document.activeElement !== document.body && document.activeElement?.closest(s) !== null,
      {},
      part,
    )
    return p.focused()
  }
  /** Presses a control by keys: puts the focus on it and hits Enter. */
  const enter = async (p: Person, selector: string): Promise<void> => {
    await p.has(`${selector}:not(:disabled)`)
    await p.page.focus(selector)
    await p.keys('Enter')
  }

  it('on the desk: covered, undone, dropped', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await enter(p, '[data-hook="mark-covered"]')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="mark-covered"]'))
    await hasIn(p, '#inspector')
    await enter(p, '[data-hook="undo"]')
    await p.has('[data-hook="mark-covered"]')
    await hasIn(p, '.bar')
    await p.page.focus('button.selected')
    await p.keys('+')
    await p.has('[data-hook="ripple-detail"]')
    await enter(p, '[data-hook="drop-ripple"]')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="ripple"]'))
    await hasIn(p, '.pace')
    p.isQuiet()
  })

  it('in work and evidence: published, taken off, closed', async () => {
    const p = await demoPerson(server, 'imani', '/work')
    await p.has('[data-hook="need-to-publish"]')
    await enter(p, '[data-hook="publish-row"]')
    await p.sees('Published')
    await hasIn(p, 'main')
    await p.go('/work/new?piece=piece-wav402')
    await p.click('all-offered')
    await p.sees('Last look')
    await enter(p, '[aria-label="Take Science 8 A off"]')
    await p.page.waitForFunction(() => !document.querySelector('[aria-label="Take Science 8 A off"]'))
    expect(await hasIn(p, 'table')).toBe('Take Science 8 B off')
    await p.go('/evidence')
    await enter(p, '[data-hook="column"]')
    await enter(p, '[data-hook="items"] [aria-label^="Close"]')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="items"]'))
    await hasIn(p, '.evidence-page')
    p.isQuiet()
  })

  it('in rows: a note that is taken out', async () => {
    const p = await demoPerson(server, 'ruth', '/classes/year')
    await p.has('[data-hook="note"]')
    const notes = (await p.page.$$('[data-hook="note"]')).length
    await enter(p, '[data-hook="note"] [aria-label^="Remove"]')
    await p.page.waitForFunction((n) => document.querySelectorAll('[data-hook="note"]').length < n, {}, notes)
    expect(await hasIn(p, '[data-hook="note"]')).toMatch(/note 1/)
    p.isQuiet()
  })
})

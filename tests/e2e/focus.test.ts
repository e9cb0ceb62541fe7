import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { walksByTab } from '../support/focus'
import { aServer } from '../support/server'
import type { Running } from '../support/server'
import { TEACHER, shown } from './places'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

describe.each([
  ['a laptop', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }],
] as const)('every stop of the focus is seen, marked, uncovered and large enough, on %s', (_, size) => {
  const isNarrow = size.width < 1100

  it('at the door', async () => {
    const p = await visit(server, '/sign-in', size)
    await p.sees('The demo school')
    await walksByTab(p)
    for (const path of ['/join', '/sign-up']) {
      await p.go(path)
      await walksByTab(p)
    }
  })

  it('in the places of a teacher', async () => {
    const p = await demoPerson(server, 'imani', '/pace', size)
    for (const [path, words] of TEACHER) {
      await p.go(path)
      // on a phone the details are a sheet that is asked for
      if (path === '/pace' && isNarrow) await p.click('toggle-details')
      await shown(p, words)
      await walksByTab(p)
    }
    p.isQuiet()
  })

  it('in a class, a plan and a piece’s items', async () => {
    const p = await demoPerson(server, 'imani', '/classes', size)
    await p.page.locator('[data-hook="classes"] a').click()
    await p.sees('Joining code')
    await walksByTab(p)
    await p.go('/classes/plans')
    await p.click('edit-plan')
    await p.has('[role="option"]')
    await p.page.locator('[role="option"]').click()
    await p.sees('Not right after a break')
    await walksByTab(p)
    await p.go('/evidence')
    await p.click('column')
    await p.sees('hardest first')
    await walksByTab(p)
    p.isQuiet()
  })

  it('in what opens on the desk', async () => {
    const p = await demoPerson(server, 'imani', '/pace', size)
    await p.click('announce')
    await p.sees('The whole school')
    await walksByTab(p)
    await p.click('look-note')
    await p.has('[data-hook="ripple-detail"]')
    await walksByTab(p)
    await p.dropRipple()
    await p.page.locator('.colhead .name').click()
    await p.sees('Week of Mon 19 Oct')
    await walksByTab(p)
    p.isQuiet()
  })

  it('for a learner', async () => {
    const p = await demoPerson(server, 'saoirse', '/', size)
    await p.sees('Now')
    await walksByTab(p)
    await p.page.locator('[data-hook="work-now"][data-steps="2"]').click()
    await p.has('[data-hook="finish"]')
    await walksByTab(p)
    await p.go('/learn')
    await p.page.locator('[data-hook="work-now"][data-steps="1"]').click()
    await p.has('[data-hook="start"], fieldset')
    if (await p.page.$('[data-hook="start"]')) {
      await walksByTab(p)
      await p.click('start')
    }
    await p.has('fieldset[data-kind]')
    await walksByTab(p)
    await p.go('/learn')
    await p.click('work-done')
    await p.sees('My work')
    await walksByTab(p)
    p.isQuiet()
  })
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
    await p.sees('Last look')
    await enter(p, '[aria-label="Take Science 8 A off"]')
    await p.page.waitForFunction(() => !document.querySelector('[aria-label="Take Science 8 A off"]'))
    expect(await hasIn(p, 'table')).toBe('Take Science 8 B off')
    await p.go('/evidence')
    await enter(p, '[data-hook="column"]')
    await enter(p, '[data-hook="items"] [aria-label^="Close"]')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="items"]'))
    await hasIn(p, '.evidence')
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

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

declare global {
  interface Window {
    presses: number
  }
}

/** Counts what a hand does from now on: presses, and keys. */
async function counting(p: Person): Promise<() => Promise<number>> {
  await p.page.evaluate(() => {
    window.presses = 0
    const count = (event: Event) => {
      if (event.isTrusted) window.presses++
    }
    window.addEventListener('click', count, true)
    window.addEventListener('keydown', count, true)
  })
  return () => p.page.evaluate(() => window.presses)
}

/** What the rows of who and when say, without the lines of their windows. */
const rowsOf = (p: Person, kind: string) =>
  p.page.$$eval(`[data-hook="target-${kind}"] th`, (list) =>
    list.map((e) => (e as HTMLElement).innerText.replace(/\s+/g, ' ').trim()),
  )

describe('the right people', () => {
  it('get a reading in one class, at once and without a due date, in three presses', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await p.has('[aria-label="Pieces of this lesson"] [data-hook="assign"]')
    const presses = await counting(p)
    await p.page.locator('[aria-label="Pieces of this lesson"] li:first-child [data-hook="assign"]').click()
    await p.sees('Publish to 28 learners')
    expect(await rowsOf(p, 'class')).toHaveLength(1)
    await p.seesIn('[data-hook="offered-classes"]', 'Both: 57 learners')
    await p.click('at-once')
    await p.seesIn('tr.base', 'no due date')
    await p.sees('Publish to 28 learners')
    await p.click('publish')
    await p.sees('Published to 28 learners')
    expect(await presses()).toBe(3)
    p.isQuiet()
  })

  it('are one learner, from their row to a likely piece in four presses', async () => {
    const p = await demoPerson(server, 'imani', '/classes')
    await p.page.locator('main ::-p-text(Science 8 A)').click()
    await p.has('[data-hook="learner-acts"]')
    const presses = await counting(p)
    await p.page.locator('[data-hook="learner-acts"]').click()
    await p.page.locator('::-p-aria([name="Assign something to them"][role="menuitem"])').click()
    await p.has('[data-hook="likely"]')
    await p.sees('Nothing is chosen to do. Add a piece.')
    // right at once, before there is a piece
    await p.seesIn('[data-hook="head-count"]', '1 learner')
    await p.isAccessible()
    await p.page.locator('[data-hook="likely"] li:nth-child(3) button').click()
    await p.sees('Publish to 1 learner')
    await p.seesIn('tr.base', 'when published')
    await p.seesIn('[data-hook="rules"]', 'As many tries as they like')
    await p.click('publish')
    await p.sees('Published to 1 learner')
    expect(await presses()).toBe(4)
    p.isQuiet()
  })

  it('are those below 60 %, in one row, with what is for them, in four presses', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.has('[data-hook="column"]:not([disabled])')
    const presses = await counting(p)
    await p.page.locator('[data-hook="column"]:not([disabled])').click()
    await p.seesIn('[data-hook="give-to-below"]', 'For the 5 learners below 60 %')
    await p.has('[data-hook="pointed"]')
    await p.isAccessible()
    await p.page.locator('[data-hook="pointed"] a').click()
    await p.sees('Publish to 5 learners')
    expect(await rowsOf(p, 'learner')).toEqual([
      expect.stringMatching(/^5 learners, below 60 % .* and 2 more$/),
    ])
    await p.click('publish')
    await p.sees('Published to 5 learners')
    expect(await presses()).toBe(3)
    p.isQuiet()
  })

  it('have a row of their own whenever it is wanted, and are counted once', async () => {
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-wav402')
    await p.sees('To whom?')
    await p.tap('[data-offered]')
    await p.sees('Publish to 28 learners')
    for (const name of ['noa', 'darya']) {
      await p.click('own-row')
      await p.has('[role="listbox"]')
      await p.page.keyboard.type(name)
      await p.keys('Enter')
      await p.page.waitForFunction(() => !document.querySelector('[role="listbox"]'))
    }
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="target-learner"]').length === 2)
    await p.sees('Publish to 28 learners')
    await p.isAccessible()
    await p.tap('[data-hook="target-learner"] [data-hook="moment-due"]')
    await p.fill('[name="moment-text"]', 'in 3 meetings')
    await p.seesIn('[data-hook="understood"]', '3 meetings after Wed 21 Oct, class end')
    await p.fill('[name="moment-text"]', 'three meetings or so')
    await p.keys('Enter')
    await p.seesIn('[data-hook="understood"]', 'says no moment')
    await p.fill('[name="moment-text"]', 'in 3 meetings')
    await p.keys('Enter')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="moment-editor"]'))
    await p.seesIn('[data-hook="target-learner"]', '3 meetings after Wed 21 Oct')
    await p.click('publish')
    await p.sees('Published to 28 learners')
    p.isQuiet()
  })
})

describe('a piece', () => {
  it('is looked for, looked into and added from a drawer, and brings its rules', async () => {
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-wav402')
    await p.tap('[data-offered]')
    await p.sees('Publish to 28 learners')
    for (const again of [false, true]) {
      await p.click('add-piece')
      await p.fill('[name="search-shelf"]', 'vib203')
      await p.tap('[role="dialog"] [data-hook="piece"]')
      await p.has('[data-hook="take-piece"]')
      if (again) break
      await p.isAccessible()
      await p.click('back-to-search')
      await p.tap('[role="dialog"] [data-hook="piece"]')
      await p.click('take-piece')
      await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
      await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="slip"]').length === 2)
    }
    // it is there already
    await p.sees('It is in the work already')
    await p.keys('Escape')
    await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    await p.seesIn('[data-hook="rules-by-piece"]', 'as many tries as they like')
    p.isQuiet()
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { DoCommand, ShowDesk, Undo } from '#shared/contracts/pacing'
import { ShowOverview } from '#shared/contracts/teaching'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Agent, Running } from '../support/server'

withBrowser()
let server: Running
let imani: Agent
beforeAll(async () => {
  server = await aServer('demo')
  imani = await signedIn(server, 'imani')
})
const stored = async () =>
  JSON.stringify((await imani.call(ShowDesk)).value, (key, value) =>
    ['version', 'now', 'steps'].includes(key) ? undefined : value,
  )

describe('a change away from the desk', () => {
  it(
    'shows its ripple on a class’s page when the class meets at other times, ' +
      'is made by keys, and undone',
    async () => {
      const before = await stored()
      const room = (await imani.call(ShowOverview)).value?.classes.find((c) => c.shortName === '8 B')
      const p = await demoPerson(server, 'imani', `/classes/${room?.id}`)
      await p.click('edit-pattern')
      await p.press('Only part of the year: meeting 1')
      await p.fill('input[aria-label^="Last day of meeting 1"]', '30 oct')
      await p.click('add-meeting')
      await p.press('Only part of the year: meeting 2')
      await p.fill('input[aria-label^="First day of meeting 2"]', '2026-11-02')
      await p.click('save-pattern')
      await p.has('[data-hook="ripple-detail"]')
      await p.seesIn('[data-hook="ripple"] h2', 'Other meeting times')
      expect(await p.page.$$eval('[data-hook="ripple"] tbody tr', (list) => list.length)).toBe(1)
      expect(await stored()).toBe(before)
      await p.isAccessible()
      await p.page.focus('[data-hook="ripple"]')
      await p.keys('3')
      await p.page.waitForFunction(
        () => document.querySelector('[data-hook="way-tighten"]')?.getAttribute('aria-pressed') === 'true',
      )
      await p.keys('Enter')
      await p.sees('Its meeting times are changed')
      await p.seesIn('[data-hook="undo"]', 'Undo: 8 B: Other meeting times, tighten')
      expect(await stored()).not.toBe(before)
      await p.click('undo')
      await p.seesIn('[data-hook="redo"]', 'Redo: 8 B: Other meeting times')
      expect(await stored()).toBe(before)
      p.isQuiet()
    },
  )

  it(
    'shows the ripple of a closure through all classes on the year’s page, ' +
      'keeps what was typed when dropped, and is undone',
    async () => {
      const before = await stored()
      const p = await demoPerson(server, 'imani', '/classes/year')
      await p.has('[data-hook="note"]')
      const notes = await p.page.$$eval('[data-hook="note"]', (list) => list.length)
      await p.click('add-closure')
      await p.fill(`input[aria-label="Last day of note ${notes + 1}"]`, '2026-11-05')
      await p.fill(`input[aria-label="First day of note ${notes + 1}"]`, '2026-11-04')
      await p.fill(`input[aria-label="Last day of note ${notes + 1}"]`, '2026-11-05')
      await p.click('save-year')
      await p.seesIn('[data-hook="ripple"]', 'Science 7 E')
      await p.keys('Escape')
      await p.page.waitForFunction(() => !document.querySelector('[data-hook="ripple"]'))
      expect(
        await p.page.$eval(
          `input[aria-label="First day of note ${notes + 1}"]`,
          (e) => (e as HTMLInputElement).value,
        ),
      ).toBe('Wed 4 Nov 2026')
      await p.click('save-year')
      await p.seesIn('[data-hook="ripple"]', 'Science 7 E')
      await p.click('apply-ripple')
      await p.sees('The year is saved')
      expect(await stored()).toContain('"fromOn":"2026-11-04"')
      await p.click('undo')
      await p.page.waitForFunction(
        (n) => document.querySelectorAll('[data-hook="note"]').length === n,
        {},
        notes,
      )
      expect(await stored()).toBe(before)
      p.isQuiet()
    },
  )

  it('is followed by the dialog for a day: the year’s own share stands in it', async () => {
    const year = (await imani.call(ShowDesk)).value?.year
    if (!year) throw new Error('The demo has no year.')
    const to = { ...year, wholeFromRatio: 0.75 }
    const done = await imani.call(DoCommand, { body: { kind: 'year', yearId: year.id, from: year, to } })
    expect(done.error).toBeUndefined()
    const p = await demoPerson(server, 'imani', '/pace')
    await p.click('announce')
    await p.choose('[data-hook="note-kind"]', 'Short day')
    await p.sees('Below 75 % a meeting counts as a half')
    expect((await imani.call(Undo)).ok).toBe(true)
    p.isQuiet()
  })
})

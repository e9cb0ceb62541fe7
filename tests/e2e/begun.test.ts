import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { dialogLooksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

const COMPOSER = '/work/new?piece=piece-wav204'

describe('what was begun in the composer', () => {
  it('outlives a reload and leaving by mistake, is found again, and begins anew', async () => {
    const p = await demoPerson(server, 'imani', COMPOSER)
    await p.fill('[name="note"]', 'Bring a ruler.')
    await p.click('all-offered')
    await p.sees('Publish to 85 learners')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="begun-before"]', 'Gone on with what you had chosen here')
    await p.sees('Publish to 85 learners')
    expect(await p.page.$eval('[name="note"]', (e) => (e as HTMLTextAreaElement).value)).toBe(
      'Bring a ruler.',
    )
    await p.isAccessible()

    // left by mistake
    await p.go('/work')
    await p.isAccessible()
    await p.page.locator('[data-hook="begun"] a').click()
    await p.seesIn('[data-hook="begun-before"]', 'Gone on')
    await p.click('begin-anew')
    await p.page.waitForFunction(
      () => (document.querySelector('[name="note"]') as HTMLTextAreaElement | null)?.value === '',
    )
    await p.go('/work')
    await p.sees('Late')
    expect(await p.page.$('[data-hook="begun"]')).toBeNull()
    p.isQuiet()
  })

  it('is forgotten once it is held; what is held can be thrown away and taken back', async () => {
    const p = await demoPerson(server, 'imani', COMPOSER)
    await p.fill('[name="title"]', 'Held for a while')
    await p.click('all-offered')
    await p.sees('Publish to 85 learners')
    await p.click('hold')
    await p.sees('Held until you publish it')
    await p.seesIn('[data-hook="need-to-publish"]', 'Held for a while')
    expect(await p.page.$('[data-hook="begun"]')).toBeNull()
    for (const _ of ['once', 'and again']) {
      await p.page.locator('[data-hook="need-to-publish"] ::-p-text(Held for a while)').click()
      // how many there are is known a moment later
      await p.sees('Publish to 85 learners')
      await p.click('throw-away')
      await p.sees('Thrown away. Undo takes it back.')
      await p.sees('Late')
      expect(await p.text('main')).not.toContain('Held for a while')
      await p.click('undo')
      await p.sees('Held for a while')
    }
    p.isQuiet()
  })
})

describe('a piece that is over', () => {
  it('is opened again in one act for those who need it, with the list first', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.page.locator('[data-hook="column"]').click()
    for (const _ of ['once', 'and again']) {
      await p.click('reopen-open')
      await p.has('[data-hook="needing"]')
      await dialogLooksRight(p)
      await p.page.keyboard.press('Escape')
      await p.page.waitForFunction(() => !document.querySelector('[data-hook="needing"]'))
    }
    await p.click('reopen-open')
    await p.click('reopen-confirm')
    await p.sees('learners, through')
    await p.click('undo')
    await p.has('[data-hook="redo"]:not([disabled])')
    p.isQuiet()
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

describe('a learner’s folder', () => {
  it('has own copies of pages under the headings of the class; one is filled in and gone on with', async () => {
    const p = await demoPerson(server, 'emeka', '/learn', { width: 390, height: 844 })
    await p.click('my-folder')
    await p.seesIn('[data-hook="folder-sentence"]', '2 pages of your own, 1 still to fill in')
    await p.sees('Lab pages')
    await p.isAccessible()
    await p.fits()
    // what was handed in can be read again
    await p.tap('::-p-text(swings of a pendulum)')
    await p.sees('What you filled in')
    await p.seesIn('[data-hook="seen-try"]', 'You wrote')
    await p.page.goBack()
    await p.tap('::-p-text(pulses in a tray)')
    await p.click('start')
    await p.fill('[data-hook="question-1"] input', '5.2')
    await p.seesIn('[data-hook="progress"]', '1 of 3')
    await p.tap('[data-hook="hand-in"]')
    await p.click('confirm-hand-in')
    await p.seesIn('[data-hook="seen-try"]', 'You wrote: 5.2')
    await p.sees('You can go on filling it in')
    // the second time all of it stands there
    await p.click('start')
    await p.has('[data-hook="question-1"] input')
    expect(await p.page.$eval('[data-hook="question-1"] input', (e) => (e as HTMLInputElement).value)).toBe(
      '5.2',
    )
    await p.fill('[data-hook="question-2"] input', '3.6')
    await p.tap('[data-hook="hand-in"]')
    await p.click('confirm-hand-in')
    await p.sees('You wrote: 3.6')
    await p.go('/learn/folder')
    await p.seesIn('[data-hook="folder-sentence"]', '2 pages of your own, none still to fill in')
    p.isQuiet()
  })
})

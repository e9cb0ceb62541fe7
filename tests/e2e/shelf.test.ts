import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { ElementHandle } from 'puppeteer-core'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'
import { aFolder } from '../support/world'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

describe('the shelf', () => {
  it('is searched while typing, narrowed, found again after a reload, and assigned from', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.has('[data-hook="tick-unit"]')
    await p.fill('[name="search-shelf"]', 'reflec')
    await p.seesIn('[data-hook="found"]', 'found')
    const all = await p.text('[data-hook="found"]')
    await p.isAccessible()
    await p.click('narrow')
    await p.has('[data-hook="facets"]')
    await p.isAccessible()
    const checks = await p.text('[data-hook="facet-kind-check"]')
    await p.click('facet-kind-check')
    const n = Number(/\d+$/.exec(checks.trim())?.[0])
    await p.seesIn('[data-hook="found"]', n === 1 ? '1 piece found' : `${n} pieces found`)
    expect(n).toBeLessThan(Number.parseInt(all, 10))
    await p.click('facet-kind-check')
    await p.seesIn('[data-hook="found"]', all.trim())

    await p.fill('[name="search-shelf"]', '8.W')
    await p.page.waitForFunction(() => location.search.includes('8.W'))
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="found"]', 'found')
    await p.sees('had it')
    await p.page.locator('[data-hook="piece"]').click()
    await p.has('[aria-label="Look inside"] h2')
    await p.page.locator('[data-hook="tick-piece"]').click()
    await p.seesIn('[data-hook="ticked-bar"]', '1 piece')

    await p.fill('[name="search-shelf"]', 'nosuchword')
    await p.sees('Nothing has all of this')
    for (const again of ['vib102', 'vib204']) {
      await p.fill('[name="search-shelf"]', again)
      await p.seesIn('[data-hook="found"]', '1 piece found')
      await p.click('clear-search')
      await p.has('[data-hook="tick-unit"]')
    }
    p.isQuiet()
  })

  it('builds a check from three standards and assigns it to one class, in ten clicks at most', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.has('[data-hook="by-standard"]')
    await p.page.evaluate(() => {
      Object.assign(window, { presses: 0 })
      document.addEventListener(
        'click',
        (e) => {
          if (e.isTrusted) (window as unknown as { presses: number }).presses++
        },
        true,
      )
    })
    await p.choose('[data-hook="for-class"]', 'For Science 8 A')
    await p.click('by-standard')
    await p.page.locator('::-p-text(Vibrations and waves)').click()
    for (const code of ['TH.8.W.2', 'TH.8.W.6', 'TH.8.W.7']) await p.click(`tick-${code}`)
    await p.click('build')
    await p.seesIn('[data-hook="drawn"]', '9 items')
    await p.isAccessible()
    await p.click('keep-and-assign')
    await p.sees('Last look')
    await p.click('publish')
    await p.sees('Published to')
    const presses = await p.page.evaluate(() => (window as unknown as { presses: number }).presses)
    expect(presses).toBeLessThanOrEqual(10)
    p.isQuiet()
  })

  it('keeps a tray through a reload, takes codes, and gives what lies in it', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.click('open-tray')
    for (const again of ['wav203, nosuch9', 'vib204']) {
      await p.fill('[name="codes"]', again)
      await p.click('read-codes')
      await p.has('[data-hook="codes-found"]')
      if (again.includes('nosuch9'))
        await p.seesIn('[data-hook="codes-found"]', 'Nowhere on the shelf: nosuch9')
      await p.click('read-codes')
      await p.page.waitForFunction(() => !document.querySelector('[data-hook="codes-found"]'))
    }
    await p.seesIn('[data-hook="ticked-bar"]', '2 pieces, 30 min')
    await p.fill('[name="tray-limit"]', '20')
    await p.seesIn('[data-hook="ticked-bar"]', '10 too many')
    await p.isAccessible()
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="ticked-bar"]', '2 pieces, 30 min of 20, 10 too many')
    await p.click('tray-to-desk')
    await p.seesIn('[data-hook="desk-tray"]', 'Practice: wave speed')
    await p.isAccessible()
    await p.go('/shelf')
    await p.click('assign-ticked')
    await p.click('all-offered')
    await p.sees('Publish to')
    await p.click('publish')
    await p.sees('Published to')
    await p.go('/shelf')
    await p.seesIn('[data-hook="ticked-bar"]', 'empty')
    p.isQuiet()
  })

  it('reads a file in after a look at it, and takes it back', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-files')
    const file = join(aFolder(), 'ropes.csv')
    writeFileSync(file, 'kind,question,answers,right\nsingle,Which?,one | two,two\ndrawing,Draw it,,\n')
    for (const time of ['once', 'and again']) {
      const input = await p.page.waitForSelector('input[type="file"]')
      await (input as ElementHandle<HTMLInputElement>).uploadFile(file)
      await p.seesIn('[data-hook="row-counts"]', '1 left out, 1 taken')
      // messages of the first time are still fading at the second
      if (time === 'once') await p.isAccessible()
      await p.click('take-over')
      await p.sees('Taken over: 1 question')
      await p.click('take-back')
      await p.sees('is taken back')
      await p.page.waitForFunction(() => !document.querySelector('[data-hook="take-back"]'))
    }
    p.isQuiet()
  })

  it('opens a textbook as practice, which a learner does on a phone without it counting', async () => {
    const p = await demoPerson(server, 'noa', '/learn', { width: 390, height: 844 })
    await p.seesIn('[data-hook="practice"]', 'the class is here')
    await p.isAccessible()
    await p.page.locator('::-p-aria([name="Practice: wave speed"][role="link"])').click()
    await p.has('[data-hook="question-1"]')
    await p.fits()
    await p.fill('[data-hook="question-1"] input', '8')
    await p.fill('[data-hook="question-2"] input', '5')
    await p.tap('[data-hook="check-practice"]')
    await p.seesIn('[data-hook="practised"]', 'of all questions')
    await p.isAccessible()
    await p.tap('[data-hook="again"]')
    await p.has('[data-hook="check-practice"]')
    p.isQuiet()
  })

  it('holds own pieces of other kinds, written with a look at each question, copied, shared and removed', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-own')
    await p.fill('[name="title"]', 'Words of ropes')
    await p.choose('[data-hook="piece-kind"]', 'Word list')
    await p.click('add-word')
    await p.fill('[name="word-1"]', 'knot')
    await p.click('text-formatted')
    await p.has('[data-hook="rich-text"][contenteditable="true"]')
    await p.isAccessible()
    await p.page.locator('[data-hook="rich-text"][contenteditable="true"]').click()
    await p.page.keyboard.type('Say it aloud.')
    await p.click('text-seen')
    await p.seesIn('[data-hook="text-as-seen"]', 'Say it aloud.')
    await p.click('add-item')
    await p.choose('[data-hook="item-1"] [data-hook="item-kind"]', 'Fill in blanks')
    await p.fill('[name="stem-1"]', 'Fill in.')
    await p.seesIn('[data-hook="fault-1"]', 'square brackets')
    await p.fill('[name="passage-1"]', 'A [knot] holds.')
    await p.seesIn('[data-hook="findings-1"]', 'Without a standard')
    await p.isAccessible()
    await p.click('save-piece')
    await p.seesIn('[data-hook="inside"]', 'Words of ropes')
    for (const act of ['Share with the school', 'Take back from the school']) {
      await p.click('piece-acts')
      await p.page.locator(`::-p-aria([name="${act}"][role="menuitem"])`).click()
      await p.sees(act.startsWith('Share') ? 'On the school’s shelf' : 'Taken back')
    }
    await p.click('piece-acts')
    await p.page.locator('::-p-aria([name="Copy and change"][role="menuitem"])').click()
    await p.sees('Change this piece')
    await p.go('/shelf?q=words+of+ropes')
    await p.seesIn('[data-hook="found"]', '2 pieces found')
    await p.page.locator('[data-hook="piece"]').click()
    await p.click('piece-acts')
    await p.page.locator('::-p-aria([name="Remove"][role="menuitem"])').click()
    await p.click('confirm')
    await p.sees('is removed')
    p.isQuiet()
  })
})

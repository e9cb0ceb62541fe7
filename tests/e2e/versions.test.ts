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

/** Selects words of the piece, as a mouse does. */
async function select(p: Person, words: string): Promise<void> {
  await p.has('[data-hook="core-text"]')
  await p.page.evaluate((wanted) => {
    const walker = document.createTreeWalker(
      document.querySelector('[data-hook="core-text"]') as Node,
      NodeFilter.SHOW_TEXT,
    )
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const at = (node.textContent ?? '').indexOf(wanted)
      if (at < 0) continue
      const range = document.createRange()
      range.setStart(node, at)
      range.setEnd(node, at + wanted.length)
      getSelection()?.removeAllRanges()
      getSelection()?.addRange(range)
      return
    }
  }, words)
}
describe('support over a piece of one’s own', () => {
  it('is written beside what learners get, compared, broken by a change of the piece, and mended', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.tap('::-p-text(What floats in our tank)')
    await p.seesIn('[data-hook="inside"]', 'None yet.')
    await p.click('to-versions')
    await p.sees('these learners get the piece as it is')
    for (const part of ['steps', 'wordBank'] as const) await p.click(`add-${part}`)
    await p.fill('[data-hook="part-steps"] textarea', 'Read it.\nThink of one thing.')
    await p.fill('[data-hook="part-wordBank"] textarea', 'density\nfloats')
    await p.click('add-marks')
    await select(p, 'a steel nut sinks')
    await p.fill('[name="mark-as"]', 'seen')
    await p.click('mark-anew')
    await p.seesIn('[data-hook="version-shown"]', 'Marked in the text: seen')
    await p.seesIn('[data-hook="version-shown"]', 'Words you can use density floats')
    await p.isAccessible()
    await p.click('keep-layer')
    await p.sees('Saved. Learners who have not begun get it.')
    await p.click('compare')
    await p.seesIn('[data-hook="compared"]', 'Marked passages')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="compared"]', 'density · floats')
    await p.isAccessible()

    await p.go('/shelf')
    await p.tap('::-p-text(What floats in our tank)')
    await p.seesIn('[data-hook="inside"]', 'marked.')
    await p.click('change-piece')
    await p.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[name="title"]')?.value === 'What floats in our tank',
    )
    const source = await p.page.waitForSelector('textarea[name="content"]')
    const text = await source?.evaluate((e) => (e as HTMLTextAreaElement).value)
    await p.fill(
      'textarea[name="content"]',
      (text ?? '').replace('a steel nut sinks', 'a heavy steel nut sinks'),
    )
    await p.click('save-piece')
    await p.seesIn('[data-hook="inside"]', 'a heavy steel nut sinks')
    await p.click('to-versions')
    await p.seesIn('[data-hook="misfits"]', '“a steel nut sinks” is no longer in the text.')
    await p.click('mend')
    await p.seesIn('[data-hook="version-shown"]', 'heavy steel nut sinks')
    await p.click('keep-layer')
    await p.sees('Saved. Learners who have not begun get it.')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="part-marks"]')
    expect(await p.page.$('[data-hook="misfits"]')).toBeNull()
    p.isQuiet()
  })
})

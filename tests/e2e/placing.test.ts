import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { ResourceId } from '#core/base'
import { ChangeTray } from '#shared/contracts/library'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

/** Reflection and lenses lie in the tray; the page for placing is open. */
async function placing(): Promise<{ readonly p: Person; readonly columns: readonly string[] }> {
  const imani = await signedIn(server, 'imani')
  const pieces = ['piece-lgt303', 'piece-lgt503'] as ResourceId[]
  expect((await imani.call(ChangeTray, { body: { kind: 'put-in', pieces } })).ok).toBe(true)
  const p = await demoPerson(server, 'imani', '/pace/place')
  await p.seesIn('[data-hook="gathered"]', '2 pieces')
  await p.has('[data-hook="place-grid"]')
  const columns = await p.page.$$eval('[data-column]', (all) => [
    ...new Set(all.map((e) => (e as HTMLElement).dataset.column ?? '')),
  ])
  return { p, columns }
}
const cell = (on: string, column: string | undefined) => `[data-on="${on}"][data-column="${column}"]`
const stone = (on: string, column: string | undefined) => `${cell(on, column)} .held [data-stone]`
/** Waits until a stone has the focus, where it lies now. */
const isOn = (p: Person, selector: string) =>
  p.page.waitForFunction((s) => document.activeElement?.matches(s), {}, selector)

describe('pieces placed on days', () => {
  it('are for nobody once the last class is taken out, also after a reload', async () => {
    const p = await demoPerson(server, 'imani', '/pace/place')
    await p.has('[data-hook="place-grid"]')
    await p.click('place-for')
    for (const name of ['Science 8 A', 'Science 8 B', 'Science 8 C'])
      await p.page.locator(`::-p-aria([name="${name}"][role="option"])`).click()
    await p.has('[data-hook="nobody"]')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="nobody"]')
    p.isQuiet()
  })

  it('are laid and moved by keys, taken out, published as one step, and printed', async () => {
    const { p, columns } = await placing()
    const [a, b, c] = columns
    await p.isAccessible()
    await p.press('Take in hand: Practice: reflection')
    await p.page.focus(cell('2026-10-22', a))
    await p.keys('Enter')
    for (const column of columns) await p.has(stone('2026-10-22', column))
    await p.page.focus(stone('2026-10-22', b))
    await p.keys('Alt+ArrowDown')
    await isOn(p, stone('2026-10-23', b))
    await p.keys('Alt+ArrowDown')
    await isOn(p, stone('2026-10-26', b))
    for (const column of [a, c]) await p.has(stone('2026-10-26', column))
    // for one alone
    await p.click('move-one')
    await p.page.focus(stone('2026-10-26', b))
    await p.keys('Alt+ArrowUp')
    await isOn(p, stone('2026-10-23', b))
    await p.has(stone('2026-10-26', a))
    await p.seesIn(stone('2026-10-23', b), 'alone')
    await p.keys('Delete')
    await p.page.waitForSelector(stone('2026-10-23', b), { hidden: true })
    await p.has(stone('2026-10-26', a))
    await p.isAccessible()
    expect(
      await p.page.$$eval('[data-hook="place-record"] p', (all) => all.map((e) => e.textContent).join()),
    ).toContain('held: not yet seen')
    await p.click('publish-placed')
    await p.sees('Nothing is held')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.sees('Nothing is held')
    await p.click('undo')
    await p.has(stone('2026-10-26', a))
    const pdf = Buffer.from(await p.page.pdf({ preferCSSPageSize: true })).toString('latin1')
    expect([...pdf.matchAll(/\/MediaBox\s*\[0 0 ([\d.]+)/g)].map((m) => Math.round(Number(m[1])))).toEqual([
      842,
    ])
    p.isQuiet()
  })

  it('are dragged onto a day and to another one, laid in order, and taken out everywhere', async () => {
    const { p, columns } = await placing()
    const [a, , c] = columns
    const drag = async (from: string, to: string) => {
      const [start, end] = [await p.page.waitForSelector(from), await p.page.waitForSelector(to)]
      await end?.evaluate((e) => e.scrollIntoView({ block: 'center' }))
      const [s, t] = [await start?.boundingBox(), await end?.boundingBox()]
      if (!s || !t) throw new Error('nothing to drag')
      await p.page.mouse.move(s.x + 40, s.y + 8)
      await p.page.mouse.down()
      await p.page.mouse.move(s.x + 60, s.y + 20, { steps: 4 })
      await p.page.mouse.move(t.x + 60, t.y + 8, { steps: 8 })
      await p.page.mouse.up()
    }
    await drag('::-p-xpath(//li[contains(., "Practice: lenses")])', cell('2026-10-22', c))
    await p.has(stone('2026-10-22', a))
    await drag(stone('2026-10-22', c), cell('2026-10-27', c))
    await p.has(stone('2026-10-27', a))
    await p.page.focus(stone('2026-10-27', a))
    await p.keys('Shift+Delete')
    await p.page.waitForSelector(stone('2026-10-27', c), { hidden: true })
    await p.seesIn('[data-hook="lay-all"]', 'Lay 2 pieces')
    await p.tap('[data-hook="lay-all"]')
    await p.sees('2 pieces laid, held until you publish')
    // the first class meets on the 22nd and 26th
    await p.sees('Publish 2 held pieces')
    await p.click('undo')
    await p.sees('Nothing is held')
    p.isQuiet()
  })
})

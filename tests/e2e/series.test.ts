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

const said = (p: Person, words: string) => p.seesIn('[data-hook="series-sentence"]', words)
const titles = (p: Person) =>
  p.page.$$eval('[data-hook^="series-row-"] td:nth-child(2)', (cells) =>
    cells.map((c) => (c as HTMLElement).innerText.split(/\s{2,}|\n/)[0]?.trim()),
  )

/** A series of the book's word lists for Science 8 A, its third row without a last day. */
async function makesSeries(p: Person): Promise<void> {
  await p.tap('::-p-text(Science 8 A)')
  await p.has('[data-hook="no-series"]')
  await p.isAccessible()
  await p.click('new-series')
  await said(p, '0 rows')
  await p.choose('[aria-label="Kind"]', 'Word list')
  await p.click('add-kind')
  await said(p, '4 rows, every meeting')
  await p.press('By weeks')
  await said(p, 'every Wed')
  await p.page.focus('[aria-label="Row 3 through"]')
  await p.keys('Control+a', 'Delete', 'Tab')
  await p.seesIn('[data-hook="series-row-3"]', 'not released: it has no first or last day')
}

/** Opens what a series can do besides, and takes one of it. */
async function takes(p: Person, entry: string): Promise<void> {
  await p.click('series-more')
  await p.page.locator(`::-p-aria([name="${entry}"][role="menuitem"])`).click()
}

/** Pulls the lower edge of the first stone down by two days. */
async function pullsEdge(p: Person): Promise<void> {
  const edge = await p.page.waitForSelector('[data-hook="lane-edge"]')
  const box = await edge?.boundingBox()
  if (!box) throw new Error('the first stone has no edge')
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await p.page.mouse.move(x, y)
  await p.page.mouse.down()
  await p.page.mouse.move(x, y + 14, { steps: 4 })
  await p.page.mouse.up()
}

describe('a series', () => {
  it('is made, ordered by keys, released but for the row without a day, and seen by a learner', async () => {
    const p = await demoPerson(server, 'imani', '/pace/series')
    await makesSeries(p)
    expect(await titles(p)).toEqual([
      'Words of vibrations',
      'Words of waves',
      'Words of sound',
      'Words of light',
    ])
    // the first row goes down one place by key, and keeps the focus
    await p.page.focus('[data-hook="series-row-1"] [data-head]')
    await p.keys('Alt+ArrowDown')
    await p.page.waitForFunction(() =>
      document.querySelector('[data-hook="series-row-1"]')?.textContent.includes('Words of waves'),
    )
    expect(await p.focused()).toContain('Row 2, Words of vibrations')
    await p.page.waitForNetworkIdle()
    await p.click('release-series')
    await p.sees('3 rows released')
    await said(p, '3 released, 0 ready, 1 not released')
    await p.seesIn('[data-hook="series-row-1"]', '28 have it')
    await p.page.waitForSelector('[data-slot="viewport"] li', { hidden: true })
    await p.isAccessible()
    await p.page.reload({ waitUntil: 'networkidle0' })
    await said(p, '3 released, 0 ready, 1 not released')
    const noa = await demoPerson(server, 'noa')
    await noa.seesIn('[data-hook="series-next"]', '2 to come')
    await noa.page.locator('[data-hook="series-next"] summary').click()
    await noa.seesIn('[data-hook="series-next"]', 'Words of vibrations')
    await noa.isAccessible()
    p.isQuiet()
    noa.isQuiet()
  })

  it('is moved by its edge and by keys on the time line, shifted, cleared, and all of it comes back', async () => {
    const p = await demoPerson(server, 'imani', '/pace/series')
    await p.tap('::-p-text(Science 8 C)')
    await said(p, '4 released')
    const through = () => p.page.$eval('[aria-label="Row 1 through"]', (e) => (e as HTMLInputElement).value)
    const through1 = await through()
    await pullsEdge(p)
    await p.page.waitForFunction(
      (was) => (document.querySelector('[aria-label="Row 1 through"]') as HTMLInputElement).value !== was,
      {},
      through1,
    )
    await p.page.waitForNetworkIdle()
    await p.click('undo')
    await p.page.waitForFunction(
      (was) => (document.querySelector('[aria-label="Row 1 through"]') as HTMLInputElement).value === was,
      {},
      through1,
    )
    await p.page.waitForNetworkIdle()
    await p.page.focus('[data-row="row-1"]')
    await p.keys('Shift+ArrowDown')
    await p.seesIn('[data-hook="series-row-1"]', 'by hand')
    await p.sees('Rows 1 and 2 are both open on')
    expect(await through()).not.toBe(through1)
    await p.page.waitForNetworkIdle()
    await p.click('undo')
    await p.page.waitForFunction(
      (was) => (document.querySelector('[aria-label="Row 1 through"]') as HTMLInputElement).value === was,
      {},
      through1,
    )
    const opens = () => p.page.$eval('[aria-label="Row 1 opens"]', (e) => (e as HTMLInputElement).value)
    expect(await opens()).toBe('Mon 26 Oct')
    await p.click('series-settings')
    await p.click('shift-later')
    await p.page.waitForFunction(
      () => (document.querySelector('[aria-label="Row 1 opens"]') as HTMLInputElement).value === 'Mon 2 Nov',
    )
    await p.page.waitForNetworkIdle()
    // asked, and left; the second time as the first
    await takes(p, 'Clear and start over')
    await p.has('[role="dialog"]')
    await p.isAccessible()
    await p.press('Leave it')
    await p.page.waitForSelector('[role="dialog"]', { hidden: true })
    await takes(p, 'Clear and start over')
    await p.click('confirm')
    await said(p, '0 rows')
    await p.page.waitForNetworkIdle()
    await p.click('undo')
    await said(p, '4 released')
    await p.page.waitForNetworkIdle()
    await p.click('undo')
    await p.page.waitForFunction(
      () => (document.querySelector('[aria-label="Row 1 opens"]') as HTMLInputElement).value === 'Mon 26 Oct',
    )
    p.isQuiet()
  })

  it('says what is wrong with a step of zero, and puts back what was there', async () => {
    const p = await demoPerson(server, 'imani', '/pace/series')
    await p.tap('::-p-text(Science 8 C)')
    await said(p, 'every 2 weeks')
    await p.click('series-settings')
    await p.page.focus('input[name="every"]')
    await p.keys('Control+a', '0', 'Tab')
    await p.sees('Every: give a whole number from 1 to 400.')
    await said(p, 'every 2 weeks')
    await takes(p, 'What a learner sees now')
    await p.page.waitForFunction(() => location.pathname === '/lens')
    await p.sees('Words week by week')
    p.isQuiet()
  })
})

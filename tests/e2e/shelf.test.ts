import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

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
    for (const again of ['vib101', 'vib204']) {
      await p.fill('[name="search-shelf"]', again)
      await p.seesIn('[data-hook="found"]', '1 piece found')
      await p.click('clear-search')
      await p.has('[data-hook="tick-unit"]')
    }
    p.isQuiet()
  })
})

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

describe('the week ahead', () => {
  it('stands first after sign-in, says what is not ready, and every line opens its place', async () => {
    const p = await demoPerson(server, 'imani')
    await p.seesIn('[data-hook="week-sentence"]', '13 meetings of 5 classes')
    await p.seesIn('[data-hook="needs-you"]', '30 texts to score')
    await p.isAccessible()
    // next week, and back again by the address
    await p.click('week-after')
    await p.seesIn('[data-hook="week-of"]', '26 Oct – 1 Nov')
    await p.seesIn('[data-hook="week-grid"]', '“Test: properties”: still held')
    await p.seesIn('[data-hook="needs-you"]', '“Test: properties” is held')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="week-of"]', '26 Oct – 1 Nov')
    await p.page.locator('::-p-aria([name="Publish: “Test: properties” is held, 7 E"])').click()
    await p.page.waitForFunction(() => location.pathname.startsWith('/work/'))
    await p.page.goBack()
    await p.has('[data-hook="week-grid"]')
    await p.page.locator('[data-hook="week-missing"]').click()
    await p.page.waitForFunction(() => location.pathname === '/shelf')
    await p.sees('For Science 8 B')
    await p.page.goBack()
    await p.has('[data-hook="week-grid"]')
    await p.page.locator('[data-hook="needs-you"] ::-p-text(Score)').click()
    await p.page.waitForFunction(() => location.pathname === '/evidence/queue')
    p.isQuiet()
  })

  it('prints on one page', async () => {
    const p = await demoPerson(server, 'imani', '/pace/week')
    await p.seesIn('[data-hook="needs-you"]', 'Who to look at')
    const pdf = Buffer.from(await p.page.pdf({ preferCSSPageSize: true })).toString('latin1')
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1)
  })

  it('opens without a connection, once it was opened with one', async () => {
    const p = await visit(server, '/sign-in', undefined, { withWorker: true })
    await p.page.waitForFunction(async () => {
      const cache = await caches.open('files-1')
      return (await cache.match('/')) !== undefined && navigator.serviceWorker.controller !== null
    })
    await p.click('demo-noa')
    await p.has('[data-hook="my-week"]')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await server.stop()
    await p.page.reload({ waitUntil: 'load' })
    await p.has('[data-hook="no-connection"]')
    await p.sees('What you wrote on this device is kept here')
  })
})

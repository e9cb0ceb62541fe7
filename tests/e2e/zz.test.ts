import { beforeAll, describe, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { PHONE } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})
describe('pictures', () => {
  it('look', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.click('to-follow-up')
    await p.has('[data-hook="proposal"]')
    const phone = await demoPerson(server, 'imani', p.page.url().replace(server.address, ''), PHONE)
    await phone.has('[data-hook="proposal"]')
    const t = await phone.page.evaluate(() => {
      const b = document.querySelector('[data-row]') as HTMLElement
      b.scrollIntoView({ block: 'center' })
      const btn = b.matches('button') ? b : (b.querySelector('button') as HTMLElement)
      const r = btn.getBoundingClientRect()
      const [x, y] = [r.left + r.width / 2, r.top + r.height / 2]
      return [
        b.outerHTML.slice(0, 600),
        JSON.stringify(r),
        ...[[-11.5, 0], [11.5, 0], [0, -11.5], [0, 11.5]].map(
          ([a, c]) => document.elementFromPoint(x + (a ?? 0), y + (c ?? 0))?.outerHTML.slice(0, 120) ?? 'none',
        ),
      ]
    })
    console.log(t.join('\n'))
    await phone.page.screenshot({ path: '/tmp/f4.png' })
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

/** As with a system that puts a few colours of its own in place of all others. */
async function forced(p: Person): Promise<void> {
  const session = await p.page.createCDPSession()
  await session.send('Emulation.setEmulatedMedia', { features: [{ name: 'forced-colors', value: 'active' }] })
  await p.page.waitForFunction(() => matchMedia('(forced-colors: active)').matches)
}
/** How something looks, in what such a system leaves of it. */
const look = (p: Person, selector: string) =>
  p.page.$eval(selector, (e) => {
    const { color, backgroundColor, borderStyle, borderTopWidth, borderBottomWidth } = getComputedStyle(e)
    return [color, backgroundColor, borderStyle, borderTopWidth, borderBottomWidth].join(' ')
  })

describe('where the system sets the colours', () => {
  it('stones by their state are told apart, and so is the one that is chosen', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('[data-hook="stone"].covered')
    await forced(p)
    const states = ['planned', 'under-way', 'covered'].map((state) => `[data-hook="stone"].${state}`)
    const looks = await Promise.all(states.map((state) => look(p, state)))
    expect(new Set(looks).size).toBe(states.length)
    const before = await look(p, '[data-hook="stone"].planned')
    await p.tap('[data-hook="stone"].planned')
    await p.has('[data-hook="stone"].planned[aria-pressed="true"]')
    expect(await look(p, '[data-hook="stone"].planned[aria-pressed="true"]')).not.toBe(before)
  })

  it('fields and buttons have edges, what is pressed a ground, and icons are there', async () => {
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-vib402')
    await p.has('[name="title"]')
    await p.has('[aria-pressed="true"]')
    await forced(p)
    for (const selector of ['[name="title"]', '[data-hook="publish"]'])
      expect(await look(p, selector), selector).toMatch(/solid 1px 1px$/)
    expect(await look(p, '[aria-pressed="true"]')).not.toBe(await look(p, '[aria-pressed="false"]'))
    const hidden = await p.page.$$eval('.iconify', (icons) =>
      icons.filter((icon) => {
        const ground = (e: Element | null): string => {
          const { backgroundColor } = getComputedStyle(e ?? document.body)
          return e && backgroundColor === 'rgba(0, 0, 0, 0)' ? ground(e.parentElement) : backgroundColor
        }
        return ground(icon) === ground(icon.parentElement)
      }),
    )
    expect(hidden).toHaveLength(0)
  })
})

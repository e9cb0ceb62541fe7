import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import { PHONE, looksRight, looksRightOnPhone } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

describe('a learner’s record', () => {
  it('is come to by a name, says how they stand and what was missed, and nothing of anybody else', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.page.locator('th.name ::-p-text(Bilal Mensah)').click()
    await p.sees('What they see')
    await p.seesIn('[data-hook="record-sentence"]', 'of all scores together')
    const says = await p.text('main')
    expect(says).toContain('Bilal Mensah')
    for (const other of ['Aroha', 'Chidi', 'Zofia']) expect(says).not.toContain(other)
    const missing = await p.page.$$eval('[data-hook="record-work"] td.missing', (cells) => cells.length)
    await p.seesIn('[data-hook="record-sentence"]', `${missing} pieces are missing`)
    await looksRight(p)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="record-standards"]')
    await p.page.locator('[data-hook="record-standards"] li.low a').click()
    await p.has('[data-hook="of-standard"]')
    await p.page.goBack({ waitUntil: 'networkidle0' })
    await p.click('to-lens')
    await p.page.waitForFunction(() => location.pathname === '/lens')
    p.isQuiet()
  })

  it('is none of who is not in the class, asks for a class where none is said, and fits a phone', async () => {
    const p = await demoPerson(server, 'imani', '/evidence/record', PHONE)
    await p.seesIn('[data-hook="choose-class"]', 'Of which class?')
    await p.press('Science 8 A')
    await p.page.locator('th.name ::-p-text(Aroha Ibarra)').click()
    await p.has('[data-hook="record-work"]')
    await looksRightOnPhone(p)
    const at = await p.page.evaluate(() => location.search)
    await p.go(`/evidence/record${at.replace(/learner=[^&]+/, 'learner=nobody')}`)
    await p.sees('This learner is not in the class')
    p.isQuiet()
  })
})

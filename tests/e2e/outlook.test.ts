import { beforeAll, describe, expect, it } from 'vitest'
import { ShowDesk } from '#shared/contracts/pacing'
import { demoPerson, withBrowser } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Agent, Running } from '../support/server'

withBrowser()
let server: Running
let imani: Agent
beforeAll(async () => {
  server = await aServer('demo')
  imani = await signedIn(server, 'imani')
})

describe('the term sheet', () => {
  it.each([
    ['A4', 'portrait', '', 595, 842],
    ['letter', 'landscape', '', 792, 612],
  ] as const)('goes onto %s paper, cut at week borders', async (paper, way, _, width, height) => {
    const one = (await imani.call(ShowDesk)).value?.classes[0]?.id
    const p = await demoPerson(
      server,
      'imani',
      `/pace/sheet?paper=${paper}${way === 'portrait' ? `&class=${one}` : ''}`,
    )
    await p.has('[data-hook="sheet"] tbody tr')
    const pdf = Buffer.from(await p.page.pdf({ preferCSSPageSize: true })).toString('latin1')
    const boxes = [...pdf.matchAll(/\/MediaBox\s*\[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [
      Math.round(Number(m[1])),
      Math.round(Number(m[2])),
    ])
    expect(boxes.length).toBeGreaterThan(0)
    expect(boxes.length).toBeLessThanOrEqual(2)
    expect(boxes[0]).toEqual([width, height])
    await p.page.emulateMediaType('print')
    expect(
      await p.page.$$eval('[data-hook="sheet"] tr', (list) =>
        list.every((r) => getComputedStyle(r).breakInside === 'avoid'),
      ),
    ).toBe(true)
    expect(
      await p.page.$$eval('.rail, .bar, [data-print="hide"]', (list) =>
        list.every((e) => getComputedStyle(e).display === 'none'),
      ),
    ).toBe(true)
  })

  it('has a learners’ copy without reasons and without what is not published', async () => {
    const p = await demoPerson(server, 'imani', '/pace/sheet')
    await p.sees('Fire drill and assembly')
    await p.sees('Test: mechanical waves (held)')
    await p.click('sheet-learners')
    await p.page.waitForFunction(() => !document.body.innerText.includes('Fire drill'))
    expect(await p.text('[data-hook="sheet"]')).not.toMatch(/held|teacher|Teacher away/)
    await p.click('sheet-work')
    await p.page.waitForFunction(
      () => !document.querySelector('[data-hook="sheet"]')?.textContent.includes('due:'),
    )
  })
})

describe('the forecast', () => {
  it('says how likely the fixed test of the section that is behind holds, and how that is worked out', async () => {
    const p = await demoPerson(server, 'imani', '/pace/charts')
    await p.press('8 C')
    await p.seesIn('[data-hook="forecast"]', 'Science 8 C: forecast')
    await p.seesIn('[data-hook="chances"]', 'W2.7 by Mon 16 Nov')
    const chance = Number(/W2\.7 by Mon 16 Nov: (\d+) %/.exec(await p.text('[data-hook="chances"]'))?.[1])
    expect(chance).toBeGreaterThan(5)
    expect(chance).toBeLessThan(60)
    await p.sees('8 C −4')
    await p.page.locator('[data-hook="forecast"] summary').click()
    await p.sees('The rest of the year is played 2000 times')
  })
})

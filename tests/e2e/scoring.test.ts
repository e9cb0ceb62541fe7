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

/** Opens the texts of a class from its evidence. */
async function openQueue(p: Person, className: string, title: string): Promise<void> {
  await p.go('/evidence')
  await p.tap(`::-p-text(${className})`)
  await p.tap(`[data-hook="column"][title*="${title}"]`)
  await p.click('to-queue')
  await p.has('[data-hook="score-sheet"]')
}
/** Waits until the text that is shown has the focus, so that keys are for it. */
async function isAt(p: Person, place: number): Promise<void> {
  await p.has(`[data-hook="queue-stone"]:nth-child(${place})[aria-current="true"]`)
  await p.page.waitForFunction(() => document.activeElement?.matches('[data-hook="text-to-read"]'))
}

describe('the scoring queue', () => {
  it('takes thirty texts by keys alone, and shows nothing to learners before it is released', async () => {
    const p = await demoPerson(server, 'imani')
    await openQueue(p, 'Science 8 C', 'why a cork stays')
    await p.seesIn('[data-hook="left"]', '30 of 30 texts to score')
    await p.isAccessible()
    for (let place = 1; place <= 30; place++) {
      await isAt(p, place)
      await p.keys(String(1 + (place % 4)), '2', String(place % 3))
      if (place % 10 === 1) {
        await p.keys('c')
        await p.page.waitForFunction(() => document.activeElement?.matches('[name="comment"]'))
        await p.page.keyboard.type('energy')
        await p.keys('ArrowDown', 'Enter', 'Escape')
        await p.page.waitForFunction(() => document.activeElement?.matches('[data-hook="text-to-read"]'))
      }
      if (place === 30) await p.keys('a')
      await p.keys('Enter')
    }
    await p.seesIn('[data-hook="left"]', 'all scored')
    await p.seesIn('[data-hook="kept"]', 'all kept')
    const learner = await demoPerson(server, 'linh', '/learn')
    await learner.tap('::-p-text(why a cork stays)')
    await learner.sees('Your teacher has yet to score it')

    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="release"]', 'Release 30 scores')
    await p.page.focus('[data-hook="release"]')
    await p.keys('Enter')
    await p.has('[data-hook="confirm"]')
    await p.sees('1 learner of them can go on with what they wrote')
    await p.page.focus('[data-hook="confirm"]')
    await p.keys('Enter')
    await p.sees('30 scores released, 1 for another go.')
    await p.seesIn('[data-hook="release"]', 'Nothing to release')
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.seesIn('[data-hook="criteria"]', 'of 4 Words: 2 of 2')
    p.isQuiet()
    learner.isQuiet()
  })

  it('hides names, keeps what two gave for one text apart, and keeps comments', async () => {
    const p = await demoPerson(server, 'imani')
    await openQueue(p, 'Science 7 E', 'the floating ship')
    await p.seesIn('[data-hook="left"]', '17 of 26 texts to score')
    const names = await p.text('[data-hook="text-to-read"] h2')
    await p.keys('h')
    await p.seesIn('[data-hook="text-to-read"] h2', 'Text ')
    expect(
      await p.page.$$eval('[data-hook="queue-stone"]', (all) =>
        all.map((e) => (e as HTMLElement).title).join(),
      ),
    ).not.toContain(names)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="text-to-read"] h2', 'Text ')
    await p.isAccessible()
    await p.keys('h')
    // names are back, and with them the order in which the other one has the texts
    await p.page.waitForFunction(
      () => !document.querySelector('[data-hook="text-to-read"] h2')?.textContent.startsWith('Text '),
    )

    const other = await demoPerson(server, 'imani')
    await openQueue(other, 'Science 7 E', 'the floating ship')
    await p.page.bringToFront()
    const stone = '[data-hook="queue-stone"]:nth-child(12)'
    for (const who of [p, other]) await who.tap(stone)
    await isAt(p, 12)
    // "all kept" stood there before, too
    const kept = p.page.waitForResponse((r) => r.url().endsWith('/draft-score') && r.ok())
    await p.keys('4')
    await kept
    await p.seesIn('[data-hook="kept"]', 'all kept')
    await other.page.bringToFront()
    await isAt(other, 12)
    await other.keys('1')
    await other.seesIn('[data-hook="conflict"]', 'You gave 1, –, –')
    await other.click('take-mine')
    await other.page.waitForSelector('[data-hook="conflict"]', { hidden: true })
    await other.seesIn('[data-hook="kept"]', 'all kept')
    await other.fill('[name="comment"]', 'Draw the hull.')
    const isKept = other.page.waitForResponse((r) => r.url().endsWith('/api/comments') && r.ok())
    await other.click('keep-comment')
    await isKept
    await other.seesIn('[data-hook="kept"]', 'all kept')
    await other.page.reload({ waitUntil: 'networkidle0' })
    await other.tap(stone)
    await other.seesIn('[data-hook="criterion"]', '1 of 4')
    expect(await other.page.$eval('[name="comment"]', (e) => (e as HTMLTextAreaElement).value)).toBe(
      'Draw the hull.',
    )
    await other.tap('[data-hook="queue-stone"]:nth-child(13)')
    await other.tap('[name="comment"]')
    await other.seesIn('[data-hook="kept-comment"]', 'Draw the hull.')
    p.isQuiet()
    other.isQuiet()
  })
})

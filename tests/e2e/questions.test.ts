import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { asId } from '#core/base'
import type { ResourceId } from '#core/base'
import { ShowOverview } from '#shared/contracts/teaching'
import { Assign } from '#shared/contracts/work'
import { PLAIN_WORK, piecesOf, rules } from '../support/made'
import { aServer, signedIn } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

/** The check that has a question of each kind, open to the classes of Science 8 at once. */
async function givenToAll(): Promise<void> {
  const teacher = await signedIn(server, 'imani')
  const classes = (await teacher.call(ShowOverview)).value?.classes ?? []
  const draft = {
    pieces: piecesOf(asId<ResourceId>('piece-wav504')),
    title: 'Check: waves that meet',
    note: '',
    ...PLAIN_WORK,
    window: { listed: null, opens: null, due: null, closes: null, putAway: null },
    rules: rules({ feedback: 'submission' }),
    exceptIds: [],
    targets: classes
      .filter((c) => c.mine && c.name.startsWith('Science 8'))
      .map((c) => ({ target: { kind: 'class' as const, classId: c.id }, overrides: {} })),
  }
  const reply = await teacher.call(Assign, { body: { draft, publish: true } })
  expect(reply.ok, reply.text).toBe(true)
}

/** Goes on by Tab until what has the focus matches. */
async function tabTo(p: Person, selector: string): Promise<void> {
  for (let i = 0; i < 60; i++) {
    if (await p.page.evaluate((s) => document.activeElement?.matches(s) ?? false, selector)) return
    await p.keys('Tab')
  }
  throw new Error(`${selector} is not come to by Tab`)
}
const at = (number: number, what: string) => `[data-hook="question-${number}"] ${what}`

/** Answers all eight by keys alone; what is written is right, but for the order, in which one step is moved. */
async function answersAll(p: Person): Promise<void> {
  await tabTo(p, at(1, 'input'))
  await p.keys('Space')
  await tabTo(p, at(2, 'input'))
  await p.keys('Space')
  await tabTo(p, at(3, 'input'))
  await p.page.keyboard.type('3')
  await tabTo(p, at(4, 'input'))
  await p.page.keyboard.type('superposition')
  await tabTo(p, at(5, 'button'))
  const first = await p.text(at(5, 'li:first-child .text'))
  await p.keys('ArrowDown')
  await p.seesIn(at(5, 'li:nth-child(2)'), first)
  // the focus stays on the step that was moved
  expect(await p.focused()).toContain(first)
  for (const nth of [1, 2, 3]) {
    await tabTo(p, at(6, `li:nth-child(${nth}) select`))
    await p.keys('ArrowDown')
  }
  await tabTo(p, at(7, 'input'))
  await p.page.keyboard.type('higher')
  await p.keys('Tab')
  await p.page.keyboard.type('cancel')
  await tabTo(p, at(8, 'textarea'))
  await p.page.keyboard.type('Two waves meet in the middle, and where crest always meets trough they cancel.')
  await p.seesIn('[data-hook="saved"]', 'saved')
}

describe('a check with a question of each kind', () => {
  it('is done by keyboard alone, and its text is scored by number keys', async () => {
    await givenToAll()
    const p = await demoPerson(server, 'noa', '/learn')
    await p.page.locator('::-p-text(Check: waves that meet)').click()
    await p.has('[data-hook="start"]')
    await tabTo(p, '[data-hook="start"]')
    await p.keys('Enter')
    await p.has('[data-hook="question-8"]')
    await p.isAccessible()
    await answersAll(p)
    await p.seesIn('[data-hook="progress"]', '8 of 8 answered')
    // what was answered is there again after a reload
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="progress"]', '8 of 8 answered')
    await tabTo(p, '[data-hook="hand-in"]')
    await p.keys('Enter')
    await p.has('[data-hook="confirm-hand-in"]')
    await tabTo(p, '[data-hook="confirm-hand-in"]')
    await p.keys('Enter')
    await p.has('[data-hook="seen-try"]')
    await p.sees('still to be scored by your teacher')
    p.isQuiet()

    const teacher = await demoPerson(server, 'imani', '/evidence')
    await teacher.has('[data-cell][aria-label*="to score"]')
    await teacher.page.locator('[data-hook="column"][title*="waves that meet"]').click()
    await teacher.seesIn('[data-hook="to-queue"]', 'Score 1 text')
    await teacher.click('to-queue')
    await teacher.fill('[name="comment"]', 'Good. Name the sum, too.')
    await teacher.keys('Escape', '3')
    await teacher.seesIn('[data-hook="left"]', 'all scored')
    await teacher.click('release')
    await teacher.click('confirm')
    await teacher.sees('1 score released.')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="comment"]', 'Name the sum, too')
    teacher.isQuiet()
  })

  it('fits a phone of 390 px, and is done there by touch', async () => {
    await givenToAll()
    const p = await demoPerson(server, 'linh', '/learn', { width: 390, height: 844 })
    await p.page.locator('::-p-text(Check: waves that meet)').click()
    await p.click('start')
    await p.has('[data-hook="question-8"]')
    await p.fits()
    await p.isAccessible()
    await p.tap(at(1, 'label'))
    await p.tap(at(2, 'label'))
    await p.tap(at(5, 'li:first-child .down'))
    await p.seesIn(at(5, '[role="status"]'), 'This is your order')
    await p.page.select(at(6, 'select'), 'p')
    await p.tap(at(7, 'input'))
    await p.page.keyboard.type('higher')
    await p.seesIn('[data-hook="progress"]', '5 of 8 answered')
    await p.fits()
    p.isQuiet()
  })
})

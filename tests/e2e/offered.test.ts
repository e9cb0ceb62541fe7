import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, visit, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { PHONE } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

/** The page of one of the teacher's classes. */
async function classPage(name: string): Promise<Person> {
  const p = await demoPerson(server, 'imani', '/classes')
  await p.page.locator(`main ::-p-text(${name})`).click()
  await p.has('[data-hook="learner-acts"]')
  return p
}

describe('a piece that is recommended', () => {
  it('takes two presses from a learner’s row, and stands behind what is asked for', async () => {
    const teacher = await demoPerson(server, 'imani', '/evidence')
    await teacher.sees('Handed in')
    await teacher.tap('[aria-label^="Aroha Ibarra, Check"]')
    await teacher.has('[data-hook="recommend-piece"]')
    await teacher.isAccessible()
    const title = await teacher.page.$eval(
      '[data-hook="recommend-piece"] p',
      (e) => (e as HTMLElement).innerText,
    )
    await teacher.tap('[data-hook="recommend-piece"] button')
    await teacher.sees(`“${title}” is recommended to Aroha Ibarra`)
    await teacher.seesIn('[data-hook="recommend-piece"]', 'Recommended')
    await teacher.go('/work')
    await teacher.seesIn('main', '1 learner · recommended')
    teacher.isQuiet()
  })
})

describe('work that is recommended', () => {
  it('is ticked in the composer, keeps nothing waiting, and is listed as that', async () => {
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-wav402')
    await p.tap('[data-offered]')
    await p.sees('Publish to 28 learners')
    await p.tap('[data-hook="is-first"]')
    await p.has('[data-hook="is-first"][data-state="checked"]')
    await p.tap('[data-hook="is-recommended"]')
    await p.has('[data-hook="is-recommended"][data-state="checked"]')
    await p.page.waitForSelector('[data-hook="is-first"]', { hidden: true })
    await p.isAccessible()
    await p.click('publish')
    await p.sees('Published to 28 learners')
    await p.seesIn('main', '28 learners · recommended')
    p.isQuiet()
  })
})

describe('practice of one’s own choice', () => {
  it('is opened to some, waits where that is said, and is seen by the teacher', async () => {
    const teacher = await classPage('Science 8 A')
    await teacher.click('to-practice')
    await teacher.sees('What they do of their own choice')
    await teacher.isAccessible()
    await teacher.tap('[data-hook="practice-waits"]')
    await teacher.has('[data-hook="practice-waits"][data-state="checked"]')
    await teacher.go(teacher.page.url().replace(server.address, ''))
    await teacher.has('[data-hook="practice-waits"][data-state="checked"]')
    teacher.isQuiet()
  })
})

describe('a group over several classes', () => {
  it('is made in one class, and stands in the roster of the other', async () => {
    const teacher = await classPage('Science 8 A')
    await teacher.page.locator('[name="new-group"]').fill('Readers')
    await teacher.tap('[data-hook="group-classes"]')
    await teacher.page.locator('::-p-aria([name="8 B"][role="option"])').click()
    await teacher.keys('Escape')
    await teacher.press('Add group')
    await teacher.seesIn('.roster thead', '0 of 0, also 8 B')
    await teacher.isAccessible()
    await teacher.tap('[aria-label$=" in Readers"]')
    await teacher.seesIn('.roster thead', '1 of 1, also 8 B')
    await teacher.go('/classes')
    await teacher.page.locator('main ::-p-text(Science 8 B)').click()
    await teacher.seesIn('.roster thead', '0 of 1, also 8 A')
    teacher.isQuiet()
  })
})

describe('the tray', () => {
  it('sets aside what was gathered, and goes on with it later', async () => {
    const teacher = await demoPerson(server, 'imani', '/shelf')
    await teacher.has('[data-hook="shelf-now"]')
    await teacher.tap('[data-hook="shelf-now"] button')
    await teacher.page.waitForSelector('[data-hook="shelf-now"]', { hidden: true })
    await teacher.go('/shelf?q=wav204')
    await teacher.tap('[data-hook="tick-piece"]')
    await teacher.seesIn('[data-hook="ticked-bar"]', '1 piece')
    await teacher.click('set-aside')
    await teacher.page.locator('[name="gathering"]').fill('Unit 3')
    await teacher.click('keep-aside')
    await teacher.seesIn('[data-hook="ticked-bar"]', '1 gathering')
    await teacher.page.reload()
    await teacher.seesIn('[data-hook="ticked-bar"]', '1 gathering')
    await teacher.isAccessible()
    await teacher.click('gatherings')
    await teacher.page.locator('::-p-aria([name="Unit 3"][role="menuitem"])').click()
    await teacher.page.locator('::-p-aria([name="Go on with its 1 piece"][role="menuitem"])').click()
    await teacher.seesIn('[data-hook="ticked-bar"]', 'Assign it from the tray')
    teacher.isQuiet()
  })
})

describe('a learner on a phone', () => {
  it('sees that a piece is recommended', async () => {
    const teacher = await demoPerson(server, 'imani', '/evidence')
    await teacher.sees('Handed in')
    await teacher.tap('[aria-label^="Noa Castellanos, Check"]')
    await teacher.tap('[data-hook="recommend-piece"] button')
    await teacher.seesIn('[data-hook="recommend-piece"]', 'Recommended')
    const learner = await demoPerson(server, 'noa', '/learn', PHONE)
    await learner.sees('· recommended')
    await learner.isAccessible()
    learner.isQuiet()
  })
})

describe('the desk', () => {
  it.each([
    ['a tablet', { width: 900, height: 1100 }],
    ['a phone', PHONE],
  ])('opens its details with the first press on %s', async (_, size) => {
    const p = await demoPerson(server, 'imani', '/pace', size)
    await p.has('button[aria-label*="lesson W2.4"]')
    expect(await p.page.$('#inspector')).toBeNull()
    await p.tap('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]')
    await p.seesIn('#inspector', 'W2.4')
    p.isQuiet()
  })
})

describe('an empty shelf', () => {
  it('takes the sample textbooks in one press, for a plan as well', async () => {
    const empty = await aServer('empty')
    const t = await visit(empty)
    await t.press('Set up a school')
    await t.fill('[name="school"]', 'Birch Hill School')
    await t.fill('[name="name"]', 'Petra Quist')
    await t.fill('[name="signIn"]', 'petra')
    await t.fill('[name="password"]', 'long enough')
    await t.click('send')
    await t.has('[data-hook="next-step"]')
    await t.go('/shelf')
    await t.has('[data-hook="empty-shelf"]')
    await t.isAccessible()
    await t.click('take-samples')
    await t.sees('2 textbooks with')
    await t.seesIn('[data-hook="outline"]', 'Waves and Signals')
    await t.go('/classes/plans')
    await t.sees('Waves and Signals')
    t.isQuiet()
    await empty.stop()
  })
})

describe('a category of a class', () => {
  it('is proposed by the kind, and a slip makes no new one without asking', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await p.has('[aria-label="Pieces of this lesson"] [data-hook="assign"]')
    await p.page.locator('[aria-label="Pieces of this lesson"] li:last-child [data-hook="assign"]').click()
    await p.sees('Publish to 28 learners')
    await p.click('propose-category')
    expect(await p.page.$eval('[name="category"]', (e) => (e as HTMLInputElement).value)).toBe('Checks')
    await p.fill('[name="category"]', 'Chekcs')
    await p.sees('New in this class, beside')
    await p.click('publish')
    await p.sees('New in this class: the category “Chekcs”')
    await p.isAccessible()
    await p.press('Leave it')
    await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    await p.fill('[name="category"]', 'checks')
    await p.click('publish')
    await p.sees('Published to 28 learners')
    p.isQuiet()
  })
})

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

const TITLE = 'A tower of paper'

/** Writes a project with two criteria, and publishes it to one class. */
async function givesProject(p: Person): Promise<void> {
  await p.fill('[name="title"]', TITLE)
  await p.choose('[data-hook="piece-kind"]', 'Project')
  await p.fill('[name="content"]', 'Build the highest tower that stands for a minute.')
  for (const [i, name] of ['Height', 'Notes'].entries()) {
    await p.tap('[data-hook="add-criterion"]')
    await p.fill(`[aria-label="Criterion ${i + 1}"]`, name)
  }
  await p.sees('you score those by the criteria')
  await p.tap('[data-hook="save-piece"]')
  await p.has('[data-hook="inside"]')
  await p.choose('[data-hook="for-class"]', 'For Science 8 A')
  await p.click('assign')
  await p.sees('Publish to 28 learners')
  // rules of a text: it is scored by somebody
  await p.seesIn('[data-hook="rules"]', '1 try')
  await p.click('publish')
  await p.sees('Published to 28 learners')
}

describe('a project with criteria', () => {
  it('is given, done, scored, returned for another go, released, and seen at each step', async () => {
    const p = await demoPerson(server, 'imani', '/shelf-own')
    await givesProject(p)

    const learner = await demoPerson(server, 'noa', '/learn', { width: 390, height: 844 })
    await learner.tap(`::-p-text(${TITLE})`)
    await learner.click('start')
    await learner.sees('Height')
    await learner.fill('textarea', 'It stood for two minutes.')
    await learner.sees('1 of 1 answered')
    await learner.isAccessible()
    await learner.fits()
    await learner.tap('[data-hook="hand-in"]')
    await learner.sees('Everything is answered.')
    await learner.click('confirm-hand-in')
    await learner.sees('Your teacher has yet to score it')
    expect(await learner.text()).not.toContain('0 %')

    await p.go('/evidence')
    await p.tap('::-p-text(Science 8 A)')
    await p.tap(`[data-hook="column"][title*="${TITLE}"]`)
    await p.seesIn('[data-hook="to-queue"]', 'Score 1 text')
    await p.click('to-queue')
    await p.has('[data-hook="score-sheet"]')
    await p.page.waitForFunction(() => document.activeElement?.matches('[data-hook="text-to-read"]'))
    await p.keys('3', '2', 'a')
    await p.seesIn('[data-hook="kept"]', 'all kept')
    await p.isAccessible()
    // nothing is shown before it is released
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.sees('Your teacher has yet to score it')
    await p.click('release')
    await p.click('confirm')
    await p.sees('1 score released, 1 for another go.')

    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.seesIn('[data-hook="criteria"]', 'Height: 3 of 4 Notes: 2 of 4')
    await learner.sees('63 %')
    // the other go begins with what was written
    await learner.click('start')
    await learner.page.waitForFunction(
      () => document.querySelector('textarea')?.value === 'It stood for two minutes.',
    )
    p.isQuiet()
    learner.isQuiet()
  })
})

import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { dialogLooksRight, looksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

const THIRD = '[data-hook="figure-3"]'
/** The scores of the check, learner by learner, as its column shows them. */
const scores = (p: Person) =>
  p.page.$$eval('tbody tr', (rows) => rows.map((r) => r.querySelectorAll('td')[5]?.innerText))
/** Opens the questions of the check with the misprint. */
async function atCheck(): Promise<Person> {
  const p = await demoPerson(server, 'imani', '/evidence')
  await p.press('Science 7 E')
  await p.seesIn('main', 'The particle model')
  await p.press('The particle model')
  await p.seesIn(THIRD, 'What is between the particles of a gas?')
  return p
}

describe('a question with a wrong key', () => {
  it('is named, put right with whose score changes, and taken back and done again', async () => {
    const p = await atCheck()
    await p.seesIn(THIRD, 'Who did better in the rest missed it more often')
    await p.seesIn(THIRD, '3 of 21 right')
    const before = await scores(p)
    await p.press('Put right: question 3')
    // nothing is other yet
    await p.seesIn('[data-hook="regrading"]', 'No score of 50 tries changes.')
    expect(await p.page.$eval('[data-hook="mend-confirm"]', (b) => (b as HTMLButtonElement).disabled)).toBe(
      true,
    )
    await p.press('Nothing')
    await p.seesIn('[data-hook="regrading"]', '37 scores of 50 tries change')
    await dialogLooksRight(p)
    await p.click('mend-confirm')
    await p.sees('Question 3 is put right: 37 scores changed')
    await p.seesIn(THIRD, '15 of 21 right')
    await p.seesIn(THIRD, 'Its key was put right since it was given.')
    const after = await scores(p)
    expect(after).not.toEqual(before)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn(THIRD, '15 of 21 right')
    expect(await scores(p)).toEqual(after)
    await p.click('undo')
    await p.seesIn(THIRD, '3 of 21 right')
    expect(await scores(p)).toEqual(before)
    await p.click('redo')
    await p.seesIn(THIRD, '15 of 21 right')
    expect(await scores(p)).toEqual(after)
    p.isQuiet()
  })

  it('can be put right before anybody has handed in', async () => {
    const p = await demoPerson(server, 'imani', '/evidence')
    await p.tap('th:last-child [data-hook="column"]')
    await p.sees('Nobody has handed in yet.')
    await p.press('Put right: question 1')
    await p.seesIn('[data-hook="regrading"]', 'Nobody has handed it in yet: it holds for those who do.')
    await p.keys('Escape')
    await looksRight(p)
    p.isQuiet()
  })

  it('is left out for everybody by keys, which its learners are told', async () => {
    const p = await atCheck()
    await p.page.focus(`${THIRD} button`)
    await p.keys('Enter')
    await p.has('[data-hook="regrading"]')
    await p.click('mend-dropped')
    await p.seesIn('[data-hook="regrading"]', 'scores of 50 tries change')
    await p.page.focus('[data-hook="mend-confirm"]')
    await p.keys('Enter')
    await p.seesIn(THIRD, 'Left out for everybody: it counts in no score.')
    p.isQuiet()
    const work = new URL(p.page.url()).searchParams.get('work')
    const learner = await demoPerson(server, 'saoirse', `/learn/${work}`)
    await learner.seesIn('[data-hook="put-right"]', 'This question counts for nobody')
    learner.isQuiet()
  })
})

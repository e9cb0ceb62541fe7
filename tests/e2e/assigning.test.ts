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

const PHONE = { width: 390, height: 844 }
const titled = 'Waves that bounce back'

/** Types a moment into a cell of the grid and takes it. */
async function typeMoment(p: Person, cell: string, words: string, understood: string): Promise<void> {
  await p.page.locator(cell).click()
  await p.fill('[name="moment-text"]', words)
  await p.seesIn('[data-hook="understood"]', understood)
  await p.keys('Enter')
  await p.page.waitForFunction(() => !document.querySelector('[data-hook="moment-editor"]'))
}

/** Ticks the reading and the check of a lesson on the desk, and opens the composer with both. */
async function twoPiecesFromTheDesk(p: Person): Promise<void> {
  await p.page.locator('button[aria-label^="Science 8 B"][aria-label*="lesson W2.4"]').click()
  await p.has('[data-hook="tick-piece"]')
  const ticks = await p.page.$$('[data-hook="tick-piece"]')
  await ticks.at(0)?.click()
  await ticks.at(-1)?.click()
  await p.click('assign-together')
  // the class it was begun from alone; the others on the plan are offered
  await p.sees('Publish to 27 learners')
  await p.click('all-offered')
  await p.sees('Publish to 85 learners')
  await p.page.locator('[data-hook="slip"]:first-child [data-hook="when-before"]').click()
  await p.seesIn('[data-hook="own-moments"]', 'Science 8 B: due Tue 27 Oct, 8:30 am')
}

/** A group of 8 B with longer time, and a learner of 8 B who is excepted. */
async function aGroupAndAnException(p: Person): Promise<void> {
  await p.click('add-who')
  await p.fill('[aria-label="Filter recipients"]', 'nobody of this name')
  await p.sees('Nobody fits')
  await p.fill('[aria-label="Filter recipients"]', 'extra practice science 8 b')
  await p.page.locator('[data-hook="recipients"] label').click()
  await p.fill('[aria-label="Filter recipients"]', 'emeka')
  await p.sees('Emeka')
  await p.isAccessible()
  await p.page.locator('[data-hook="recipients"] [role="checkbox"]').click()
  await p.sees('84 learners chosen, 1 learner left out')
  await p.click('picker-done')
  await p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
  await p.seesIn('[data-hook="excepted"]', 'Emeka')
  await typeMoment(
    p,
    '[data-hook="target-group"] [data-hook="moment-due"]',
    '+3 meetings',
    'last meeting of W2.4 + 3',
  )
  // longer for a try, beside the others' rules; opened twice
  const limits = '[data-hook="limits"][aria-label*="of Extra practice"]'
  for (const minutes of ['30', '45']) {
    await p.tap(limits)
    await p.click('own-timeLimitMinutes')
    await p.fill('[name="limit-timeLimitMinutes"]', minutes)
    await p.isAccessible()
    await p.keys('Escape')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="limits-editor"]'))
    await p.seesIn(limits, `${minutes} min`)
  }
}

describe('the whole of assigning', () => {
  it('goes from the desk to learners, is seen through the lens, moves with the plan and is taken back', async () => {
    const teacher = await demoPerson(server, 'imani', '/pace')
    await twoPiecesFromTheDesk(teacher)
    await aGroupAndAnException(teacher)
    // in 8 A the lesson is under way: what is read before it would be due in the past
    await teacher.sees(`Science 8 A: “What happens at the end” is due in the past`)
    await teacher.tap('::-p-text(Leave Science 8 A out)')
    await teacher.page.waitForFunction(() => !document.body.innerText.includes('Leave Science 8 A out'))
    await typeMoment(teacher, 'tr.base [data-hook="moment-opens"]', 'when published', 'when published')
    await teacher.tap('[data-hook="in-turn"]')
    await teacher.isAccessible()
    await teacher.sees('Publish to 56 learners')
    await teacher.click('publish')
    await teacher.sees('Published to 56 learners')

    // the lens on a learner of 8 C, two days ahead
    await teacher.go('/lens')
    await teacher.page.locator('[data-hook="lens-choose"]').click()
    await teacher.page.keyboard.type('linh')
    await teacher.keys('Enter')
    await teacher.seesIn('[data-hook="lens-band"]', '(now)')
    await teacher.seesIn('[data-hook="lens-screen"]', titled)
    await teacher.isAccessible()
    for (const day of ['Thu 22 Oct', 'Fri 23 Oct']) {
      await teacher.click('day-on')
      await teacher.seesIn('[data-hook="lens-at"]', day)
    }
    await teacher.seesIn('[data-hook="lens-why"]', 'Due Tue 3 Nov, 10:05 am')
    await teacher.seesIn('[data-hook="lens-not-there"]', 'It is held: nobody sees it')
    const { pathname, search } = new URL(teacher.page.url())
    await aMeetingIsLost(teacher)
    await teacher.go(pathname + search)
    await teacher.seesIn('[data-hook="lens-why"]', 'Due Thu 5 Nov, 10:05 am')

    const learner = await demoPerson(server, 'linh', '/', PHONE)
    await readsThenDoesTheCheck(learner)
    await givesOneMoreTry(teacher)
    teacher.isQuiet()
    learner.isQuiet()
  })
})

/** 8 C loses a meeting, so that every lesson after it comes later. */
async function aMeetingIsLost(p: Person): Promise<void> {
  await p.go('/pace')
  await p.page.locator('button[aria-label^="Science 8 C"][aria-label*="lesson W2.3"]').click()
  await p.keys('x')
  await p.sees('Lose a meeting')
  await p.page.keyboard.type('Snow day')
  await p.keys('Enter')
  // the ways out are compared before Enter makes one
  await p.seesIn('[data-hook="ripple"]', 'of work')
  await p.keys('Enter')
  await p.seesIn('[data-hook="undo"]', 'Undo: 8 C: Snow day, Mon 26 Oct')
}

/** On a phone: the check waits for the reading, is done after it, and shows its score. */
async function readsThenDoesTheCheck(p: Person): Promise<void> {
  await p.sees(titled)
  await p.page.evaluate(
    (words) =>
      [...document.querySelectorAll<HTMLElement>('[data-hook="work-now"]')]
        .find((e) => e.innerText.includes(words))
        ?.click(),
    titled,
  )
  await p.sees('after “What happens at the end”')
  await p.isAccessible()
  await p.click('finish')
  // with the reading done it goes on to the check
  await p.sees('2 tries; your best try counts.')
  await p.click('start')
  await p.has('[data-hook="question-1"]')
  await p.isAccessible()
  await p.click('hand-in')
  await p.click('confirm-hand-in')
  await p.sees('0 %')
}

/** The teacher sees it come back, gives one more try, and takes that back. */
async function givesOneMoreTry(p: Person): Promise<void> {
  await p.go('/evidence')
  await p.press('Science 8 C')
  await p.sees('Linh Petrov')
  await p.page.evaluate(() => {
    const row = [...document.querySelectorAll('tbody tr')].find(
      (r) => r.querySelector('th')?.textContent === 'Linh Petrov',
    )
    const cell = [...(row?.querySelectorAll<HTMLElement>('[data-cell]') ?? [])].find((c) =>
      c.getAttribute('aria-label')?.includes('Check: waves that bounce back: 0 %'),
    )
    cell?.click()
  })
  await p.click('give-try')
  await p.sees('Linh Petrov: one more try')
  await p.seesIn('[data-hook="undo"]', 'Undo: more given in')
  await p.click('undo')
  await p.seesIn('[data-hook="redo"]', 'Redo: more given in')
}

describe('rules', () => {
  it('are changed, and a learner works by them', async () => {
    const teacher = await demoPerson(server, 'imani', '/work/new?piece=piece-wav203')
    await teacher.sees('To whom?')
    await teacher.click('all-offered')
    await teacher.sees('Last look')
    await typeMoment(teacher, 'tr.base [data-hook="moment-opens"]', 'when published', 'when published')
    await typeMoment(teacher, 'tr.base [data-hook="moment-due"]', 'fri 3pm', 'Fri 23 Oct, 3:00 pm')
    await teacher.click('change-rules')
    await teacher.choose('[data-hook="items-way"]', 'drawn for each learner')
    await teacher.fill('[name="share-1"]', '11')
    await teacher.seesIn('[data-hook="last-look"]', 'has only 10 questions of the 11')
    await teacher.page.locator('::-p-text(Draw 10)').click()
    await teacher.choose('[data-hook="items-way"]', 'one by one, as hard as suits')
    await teacher.fill('[name="most"]', '2')
    await teacher.fill('[name="passPercent"]', '50')
    await teacher.seesIn('[data-hook="rules"]', 'At most 2 questions, one after another')
    await teacher.click('more-about')
    await teacher.fill('[name="instructions"]', 'Read **this** first.')
    await teacher.fill('[name="link"]', 'http://meet.example')
    await teacher.sees('The meeting link has to be a whole address that begins with https://')
    await teacher.fill('[name="link"]', 'https://meet.example/8a')
    await teacher.tap('[data-hook="is-first"]')
    await teacher.fill('[name="title"]', 'How far are you?')
    await teacher.isAccessible()
    await teacher.click('publish')
    await teacher.sees('Published to 85 learners')

    const learner = await demoPerson(server, 'noa', '/', PHONE)
    await learner.seesIn('[data-hook="work-now"]', 'How far are you?')
    await learner.sees('First finish “How far are you?”.')
    await learner.page.locator('[data-hook="work-now"]').click()
    await learner.sees('Before you begin')
    await learner.sees('Passed from 50 %.')
    await learner.isAccessible()
    await learner.click('start')
    await learner.seesIn('[data-hook="progress"]', 'question 1 of at most 2')
    await learner.click('fix')
    await learner.seesIn('[data-hook="item-result"]', 'not yet')
    await learner.seesIn('[data-hook="progress"]', 'question 2 of at most 2')
    await learner.click('open-calculator')
    await learner.page.locator('[data-hook="calculator"] ::-p-text(7)').click()
    await learner.isAccessible()
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.seesIn('[data-hook="progress"]', 'question 2 of at most 2')
    await learner.click('fix')
    await learner.sees('That was the last question.')
    await learner.click('hand-in')
    await learner.click('confirm-hand-in')
    await learner.sees('is the estimate for all questions of this piece')
    await learner.sees('not passed yet')
    learner.isQuiet()
    await teacher.go('/evidence')
    await teacher.seesIn('table', 'pass 50 %')
    expect(await teacher.text('table')).toContain('not passed')
    teacher.isQuiet()
  })
})

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
// each on its own demo: what one leaves behind, the next, or the same once more, would trip over
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

/** Types what is no number, is told so, and types one. */
async function typeNumber(p: Person, question: number): Promise<void> {
  const note = `[data-hook="question-${question}"] [data-hook="no-number"]`
  await p.page.keyboard.type('12²')
  await p.seesIn(note, 'This is not a number yet.')
  await p.keys('Control+a')
  await p.page.keyboard.type('1.2')
  await p.page.waitForFunction((s) => document.querySelector(s)?.textContent.trim() === '', {}, note)
}

/** Answers every question by keys alone: a choice by space, a number or word typed. */
async function answerByKeys(p: Person): Promise<void> {
  const kinds = await p.page.$$eval('fieldset[data-kind]', (list) =>
    list.map((e) => (e as HTMLElement).dataset.kind),
  )
  for (const [i, kind] of kinds.entries()) {
    if (i > 0) await p.keys('Tab')
    if (kind === 'numeric') await typeNumber(p, i + 1)
    else if (kind === 'text') await p.page.keyboard.type('compression')
    else await p.keys('Space')
    if (kind === 'multiple')
      for (
        let n = 1;
        n <
        (await p.page.$eval(
          `fieldset[data-hook="question-${i + 1}"]`,
          (e) => e.querySelectorAll('input').length,
        ));
        n++
      )
        await p.keys('Tab')
  }
}

describe('a check, from the lesson to the score', () => {
  it('is assigned beside its lesson, done by a learner with keys alone, and comes back to the teacher', async () => {
    const teacher = await demoPerson(server, 'imani', '/pace')
    await teacher.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await teacher.page
      .locator('[aria-label="Pieces of this lesson"] li:last-child [data-hook="assign"]')
      .click()
    await teacher.click('all-offered')
    await teacher.sees('Publish to 85 learners')
    // each class has its own dates
    const rows = await teacher.page.$$eval('[data-hook="target-class"]', (list) =>
      list.map((e) => (e as HTMLElement).innerText.replace(/\s+/g, ' ')),
    )
    expect(rows.map((r) => r.slice(0, 11))).toEqual(['Science 8 A', 'Science 8 B', 'Science 8 C'])
    expect(rows[0]).toContain('Tue 20 Oct, 8:30 am')
    expect(rows[1]).toContain('Tue 27 Oct, 8:30 am')
    await teacher.sees('Science 8 A: it opens as soon as it is published.')
    await teacher.fill('[name="note"]', 'Do it alone, please.')
    await teacher.click('publish')
    await teacher.sees('Published to 85 learners')

    const learner = await demoPerson(server, 'noa')
    await learner.sees('Check: waves that bounce back')
    await learner.sees('Do it alone, please.')
    await learner.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[data-hook="work-now"]')]
        .find((e) => e.innerText.includes('bounce back'))
        ?.focus(),
    )
    await learner.keys('Enter')
    await learner.has('[data-hook="start"]')
    await learner.page.focus('[data-hook="start"]')
    await learner.keys('Enter')
    await learner.has('fieldset[data-kind]')
    await learner.page.waitForFunction(() => document.activeElement?.tagName === 'INPUT')
    await answerByKeys(learner)
    await learner.sees('8 of 8 answered')
    await learner.page.waitForFunction(() =>
      document.querySelector('[data-hook="saved"]')?.textContent.includes('saved 2:'),
    )
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.sees('8 of 8 answered')
    for (let i = 0; i < 60 && !(await learner.focused()).startsWith('Hand in'); i++) await learner.keys('Tab')
    await learner.keys('Enter')
    await learner.sees('Everything is answered.')
    await learner.page.waitForFunction(
      () => (document.activeElement as HTMLElement | null)?.dataset.hook === 'confirm-hand-in',
    )
    await learner.keys('Enter')
    await learner.sees('Handed in Wed 21 Oct')
    await learner.sees('counts')
    expect(await learner.text('[data-hook="seen-try"]')).not.toContain('Right:')
    const score = /(\d+) %/.exec(await learner.text('[data-hook="seen-try"] .score'))?.[0] ?? ''
    await learner.sees('Try again')
    learner.isQuiet()

    await teacher.go('/evidence')
    await teacher.sees('Waves that bounce back')
    const cell = await teacher.page.$$eval(
      'tbody tr',
      (list) => list.map((e) => (e as HTMLElement).innerText).find((t) => t.startsWith('Noa')) ?? '',
    )
    expect(cell).toContain(score)
    await teacher.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[data-hook="column"]')]
        .find((e) => e.innerText.toLowerCase().includes('bounce'))
        ?.click(),
    )
    await teacher.sees('hardest first')
    await teacher.sees('1 of 1 right')
    teacher.isQuiet()
  })

  it('is held, changed for one group, published and withdrawn', async () => {
    const teacher = await demoPerson(server, 'imani', '/shelf?piece=piece-vib204')
    await teacher.sees('8 items: 3 one right answer, 1 several right answers, 4 a number')
    await teacher.sees('Measure and relate amplitude, period and frequency.')
    await teacher.click('with-answers')
    await teacher.sees('Feedback: It is measured from the middle to one side.')
    await teacher.click('assign')
    await teacher.click('all-offered')
    // its lesson is over, so that it is open at once; hung on the lesson all the same it is late
    await teacher.seesIn('tr.base', 'no due date')
    await teacher.click('with-lesson')
    await teacher.sees('Science 8 A: it is due in the past')
    // a date instead of the lesson
    await teacher.page.locator('tr.base [data-hook="moment-due"]').click()
    await teacher.choose('[data-hook="moment-editor"] button[role="combobox"]', 'A whole day')
    await teacher.fill('[data-hook="moment-editor"] [name="moment-on"]', '30 oct')
    await teacher.keys('Enter')
    await teacher.page.waitForFunction(() =>
      document.querySelector('tr.base [data-hook="moment-due"]')?.textContent.includes('Fri 30 Oct'),
    )
    await teacher.click('moment-done')
    await teacher.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-hook="target-class"]')].every((e) =>
        e.textContent.includes('Fri 30 Oct, end of day'),
      ),
    )
    // a learner of another course has no such lesson: say so, then open it for everyone at once
    await teacher.click('add-who')
    await teacher.fill('[aria-label="Filter recipients"]', 'saoirse')
    await teacher.sees('Saoirse Mbeki')
    await teacher.page.locator('[data-hook="recipients"] [role="checkbox"]').click()
    await teacher.keys('Escape')
    await teacher.sees("Science 7 D: Opens: W1.2 has no meeting in this class's layout.")
    expect(await teacher.page.$eval('[data-hook="publish"]', (e) => (e as HTMLButtonElement).disabled)).toBe(
      true,
    )
    await teacher.page.locator('tr.base [data-hook="moment-opens"]').click()
    await teacher.choose('[data-hook="moment-editor"] button[role="combobox"]', 'When published')
    await teacher.click('moment-done')
    // one group besides, whose learners are reached by their class too
    await teacher.click('add-who')
    await teacher.fill('[aria-label="Filter recipients"]', 'extra')
    await teacher.page.locator('[data-hook="recipients"] label:first-of-type').click()
    await teacher.keys('Escape')
    await teacher.sees('Publish to 86 learners')
    await teacher.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))
    await teacher.tap('[data-hook="who-gets-what"] button')
    await teacher.sees('Why it differs')
    await teacher.click('change-rules')
    await teacher.fill('[name="maxAttempts"]', '0')
    await teacher.sees('Tries: give a whole number of at least 1, or no limit.')
    await teacher.fill('[name="maxAttempts"]', '3')
    await teacher.sees('Publish to 86 learners')
    await teacher.fill('[name="title"]', 'Once more: amplitude')
    await teacher.click('hold')
    await teacher.sees('Held until you publish it')
    const saoirse = await demoPerson(server, 'saoirse')
    await saoirse.sees('Hello, Saoirse')
    expect(await saoirse.text()).not.toContain('Once more: amplitude')

    await teacher.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[data-hook="need-to-publish"] tbody')]
        .find((e) => e.innerText.includes('Once more'))
        ?.querySelector<HTMLElement>('[data-hook="publish-row"]')
        ?.click(),
    )
    await teacher.sees('Published to 86 learners')
    await saoirse.page.reload({ waitUntil: 'networkidle0' })
    await saoirse.sees('Once more: amplitude')
    await saoirse.sees('3 tries left of 3')
    await teacher.page.evaluate(() =>
      [...document.querySelectorAll('a')].find((e) => e.textContent === 'Once more: amplitude')?.click(),
    )
    await teacher.has('[data-hook="withdraw"]')
    await teacher.click('withdraw')
    await teacher.sees('Withdrawn. What learners did is kept.')
    await teacher.sees('Publish again')
    await saoirse.page.reload({ waitUntil: 'networkidle0' })
    await saoirse.sees('Hello, Saoirse')
    expect(await saoirse.text()).not.toContain('Once more: amplitude')
    teacher.isQuiet()
  })
})

describe('losing the network', () => {
  it('keeps answers on the learner’s machine and sends them when it is back', async () => {
    const p = await demoPerson(server, 'linh')
    await p.click('work-now')
    await p.click('start')
    await p.has('fieldset[data-kind]')
    await p.page.setOfflineMode(true)
    await p.page.locator('fieldset[data-kind="single"] label').click()
    await p.sees('not saved yet, no connection')
    await p.page.setOfflineMode(false)
    await p.page.waitForFunction(
      () => document.querySelector('[data-hook="saved"]')?.textContent.startsWith('saved'),
      { timeout: 45_000 },
    )
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.sees('1 of 8 answered')
  })
})

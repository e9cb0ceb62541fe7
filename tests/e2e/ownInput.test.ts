import { beforeAll, describe, expect, it } from 'vitest'
import { visit, withBrowser } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('empty')
})

const ICS = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//x//y//EN',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTAMP:20260801T000000Z',
  'SUMMARY:Harvest break',
  'DTSTART;VALUE=DATE:20261125',
  'DTEND;VALUE=DATE:20261128',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n')

describe('from an empty workspace to a score, on one’s own input', () => {
  it('sets up a school, a year, a class, a plan and a check, and a learner does it', async () => {
    const t = await visit(server)
    expect(await t.text()).not.toContain('demo')
    await t.press('Set up a school')
    await t.fill('[name="school"]', 'Alder Lane School')
    await t.fill('[name="name"]', 'Petra Quist')
    await t.fill('[name="signIn"]', 'petra')
    await t.fill('[name="password"]', 'short')
    await t.click('send')
    await t.sees('Password needs at least 8 characters.')
    await t.fill('[name="password"]', 'long enough')
    await t.click('send')
    await t.sees('From an empty workspace to a planned year')

    // the year, with a closure typed and one read from a calendar
    await t.click('next-step')
    await t.has('[name="firstOn"]')
    await t.fill('[name="firstOn"]', '2026-08-24')
    await t.fill('[name="lastOn"]', '2026-08-20')
    await t.fill('[name="zone"]', 'America/Denver')
    await t.click('save-year')
    await t.sees('Last day: the year ends before it starts.')
    await t.fill('[name="lastOn"]', '2027-06-11')
    await t.click('add-closure')
    await t.fill('[aria-label="Name of note 1"]', 'Labor Day')
    await t.fill('[aria-label="First day of note 1"]', '2026-09-07')
    await t.fill('[data-hook="closure-import"] textarea', 'this is no calendar')
    await t.sees('This is not an iCalendar (.ics) file.')
    await t.fill('[data-hook="closure-import"] textarea', ICS)
    await t.sees('Harvest break: Wed 25 Nov to Fri 27 Nov')
    await t.click('take-closures')
    await t.page.waitForFunction(() => document.querySelectorAll('[data-hook="note"]').length === 2)
    await t.click('save-year')

    // the class, its roster with a bad row
    await t.sees('Make a class')
    await t.click('next-step')
    await t.fill('[name="name"]', 'Science 8 X')
    await t.fill('[name="shortName"]', '8 X')
    await t.fill('[name="course"]', 'Science 8')
    await t.click('save-class')
    await t.has('[data-hook="join-code"]')
    const code = await t.text('[data-hook="join-code"]')
    await t.fill(
      '[data-hook="roster-import"] textarea',
      'name,groups\nMira Olden,Front\n,Front\nTom Fell,Back',
    )
    await t.click('read-roster')
    await t.sees('2 learners to add, 1 row cannot be read')
    await t.sees('Line 3: has no name')
    await t.press('Leave these rows out')
    await t.click('add-roster')
    await t.sees('2 learners added')
    await t.sees('not joined yet')

    // the plan, with a row that cannot be read
    await t.go('/classes/plans')
    await t.fill('[name="title"]', 'Our order')
    await t.fill('[data-hook="outline-form"] [name="course"]', 'Science 8')
    await t.fill(
      '[data-hook="outline-form"] textarea',
      'unit,lesson,meetings\nVibrations,What a vibration is,1\n,Period and frequency,soon\nWaves,Pulses,1.5',
    )
    await t.click('read-outline')
    await t.sees('Line 3: the length is not a whole or half number of meetings')
    await t.fill(
      '[data-hook="outline-form"] textarea',
      'unit,lesson,meetings\nVibrations,What a vibration is,1\n,Period and frequency,2\nWaves,Pulses,1.5',
    )
    await t.click('read-outline')
    await t.sees('3 lessons in 2 units, 4.5 meetings')
    await t.click('make-plan')
    await t.click('lay')
    // wherever in the year the test runs
    await t.click('from-year')
    await t.click('lay-out')
    await t.sees('All 3 lessons placed')
    await t.press('See it on the desk')
    await t.has('[data-lesson="1.2"]')
    await t.page.locator('[data-lesson="1.2"]').click()
    // what is said at the foot for a while must not be in the way
    await t.tap('::-p-aria([name="Choose from the shelf"])')

    // a check of its own with every kind of item
    await t.click('write-own')
    await t.fill('[name="title"]', 'First check')
    await t.click('save-piece')
    await t.sees('Question 1: the question is empty.')
    await t.fill('[name="stem-1"]', 'Which of these vibrates?')
    for (const [i, answer] of ['A plucked string', 'A parked car', 'A book on a shelf'].entries())
      await t.fill(`[name="answer-1-${i + 1}"]`, answer)
    for (const [n, kind] of [
      [2, 'Several right answers'],
      [3, 'A number'],
      [4, 'A short answer'],
    ] as const) {
      // what stays at the foot must not be in the way
      await t.page.$eval('[data-hook="add-item"]', (e) => e.scrollIntoView({ block: 'center' }))
      await t.click('add-item')
      await t.fill(`[name="stem-${n}"]`, `Question number ${n}?`)
      await t.choose(`[data-hook="item-${n}"] button[role="combobox"]`, kind)
    }
    for (const [i, answer] of ['Yes', 'No', 'Also yes'].entries())
      await t.fill(`[name="answer-2-${i + 1}"]`, answer)
    await t.page.locator('[data-hook="item-2"] [aria-label="Answer 3 is right"]').click()
    await t.fill('[name="value-3"]', '0,25')
    await t.fill('[name="accepted-4"]', 'hertz; Hz')
    await t.page.reload({ waitUntil: 'networkidle0' })
    expect(await t.page.$eval('[name="accepted-4"]', (e) => (e as HTMLInputElement).value)).toBe('hertz; Hz')
    await t.click('save-piece')
    await t.sees('First check')
    await t.sees('4 items: 1 one right answer, 1 several right answers, 1 a number, 1 a short answer')

    // assign it: open at once, since the year may not have begun where the tests run
    await t.click('assign')
    // to their only class
    await t.sees('Publish to 2 learners')
    await t.click('publish')
    await t.sees('Published to 2 learners')

    // the learner joins by the code, under the name on the roster
    const l = await visit(server, `/join?code=${code}`)
    await l.fill('[name="name"]', 'Mira Olden')
    await l.fill('[name="signIn"]', 'mira')
    await l.fill('[name="password"]', 'long enough')
    await l.click('send')
    await l.sees('First check')
    await l.click('work-now')
    await l.click('start')
    await l.has('fieldset[data-kind]')
    const choose = async (item: string, ...words: string[]) => {
      for (const word of words)
        await l.page.evaluate(
          (id, w) =>
            [...document.querySelectorAll<HTMLElement>(`fieldset[data-item="${id}"] label`)]
              .find((o) => o.innerText.trim() === w)
              ?.click(),
          item,
          word,
        )
    }
    await choose('q1', 'A plucked string')
    await choose('q2', 'Yes', 'Also yes')
    await l.fill('fieldset[data-item="q3"] input', '0.25')
    await l.fill('fieldset[data-item="q4"] input', ' HERTZ ')
    await l.sees('4 of 4 answered')
    await l.click('hand-in')
    await l.click('confirm-hand-in')
    await l.sees('4 of 4 points')
    for (const n of [2, 3, 4]) await l.sees(`Question number ${n}?`)
    l.isQuiet()

    // and the score is in the grid
    await t.go('/evidence')
    await t.sees('Mira Olden')
    await t.sees('100 %')
    expect(await t.text('tbody')).toContain('Tom Fell no scores yet to do')
    t.isQuiet()
  })
})

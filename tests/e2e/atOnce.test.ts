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
const gone = (p: Person, selector: string) =>
  p.page.waitForFunction((s) => !document.querySelector(s), {}, selector)

/** Opens what is composed at once, until Friday. */
async function openFromNow(teacher: Person): Promise<void> {
  for (const moment of ['opens', 'due']) {
    await teacher.page.locator(`tr.base [data-hook="moment-${moment}"]`).click()
    await teacher.fill('[name="moment-text"]', moment === 'opens' ? 'when published' : 'fri 3pm')
    await teacher.has('[data-hook="understood"]')
    await teacher.keys('Enter')
    await gone(teacher, '[data-hook="moment-editor"]')
  }
}

describe('work in a list', () => {
  it('is found, published together, moved by a meeting and taken back as one step', async () => {
    const p = await demoPerson(server, 'imani', '/work')
    await p.sees('To publish')
    await p.isAccessible()
    await p.tap('[data-hook="need-to-publish"] [data-hook="choose-all"]')
    await p.seesIn('[data-hook="chosen-bar"]', '2 chosen')
    await p.isAccessible()
    await p.click('publish-chosen')
    await p.sees('Published 2 pieces of work')
    await gone(p, '[data-hook="chosen-bar"]')
    await gone(p, '[data-hook="need-to-publish"]')
    await p.seesIn('[data-hook="undo"]', 'Undo: published 2 pieces of work')
    await p.click('undo')
    await p.seesIn('[data-hook="need-to-publish"]', 'Test: mechanical waves')
    // what is looked at stands in the address
    await p.choose('[data-hook="filter-class"]', 'Science 8 C')
    await p.fill('[name="find-work"]', 'bounce')
    await p.click('by-class')
    await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="choose-row"]').length === 1)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.sees('In pairs: waves that bounce back')
    await p.sees('Thu 12 Nov, 11:25 am')
    await p.click('choose-row')
    await p.click('shift-chosen')
    await p.sees('Moved 1 piece of work by 1 meeting, later')
    await p.sees('Mon 16 Nov, 11:25 am')
    await p.click('undo')
    await p.sees('Thu 12 Nov, 11:25 am')
    p.isQuiet()
  })

  it('is copied to another class with its anchors', async () => {
    const p = await demoPerson(server, 'imani', '/work?q=bounce')
    await p.sees('In pairs: waves that bounce back')
    await p.click('choose-row')
    await p.click('copy-chosen')
    await p.page.locator('::-p-aria([name="Science 8 B"][role="menuitem"])').click()
    await p.sees('Publish to 27 learners')
    await p.seesIn('[data-hook="target-class"]', 'Science 8 B')
    await p.seesIn('tr.base', 'first meeting of W2.5')
    // the learners are others, so the teams are made anew
    await p.seesIn('[data-hook="teams"]', '0 teams')
    await p.tap('[data-hook="make-teams"]')
    await p.seesIn('[data-hook="teams"]', '13 teams')
    await p.isAccessible()
    await p.tap('[data-hook="who-gets-what"] button')
    await p.fill('[name="find-who"]', 'emeka')
    await p.seesIn('[data-hook="who-gets-what"]', '1 row')
    await p.click('publish')
    await p.sees('Published to 27 learners')
    p.isQuiet()
  })
})

describe('work in teams', () => {
  it('is made for pairs, handed in by one on a phone, and counts for both', async () => {
    const teacher = await demoPerson(server, 'imani', '/work/new?piece=piece-vib402')
    await teacher.click('all-offered')
    await teacher.sees('Publish to 85 learners')
    await teacher.tap('[data-hook="slip"] [data-hook="hand-in-together"]')
    await teacher.tap('[data-hook="make-teams"]')
    await teacher.seesIn('[data-hook="teams"]', 'Science 8 C')
    await teacher.isAccessible()
    await openFromNow(teacher)
    await teacher.fill('[name="title"]', 'Energy, two by two')
    await teacher.click('newcomers')
    await teacher.click('publish')
    await teacher.sees('Published to 85 learners')

    const linh = await demoPerson(server, 'linh', '/', PHONE)
    await linh.sees('Energy, two by two')
    await linh.page.locator('[data-hook="work-now"] ::-p-text(Energy, two by two)').click()
    await linh.sees('What one of you hands in counts for all of you.')
    const mates = await linh.text('[data-hook="mates"]')
    const mate = /^Together with ([^,.]+)/.exec(mates)?.[1] ?? ''
    await linh.isAccessible()
    await linh.click('start')
    await linh.has('[data-hook="question-1"]')
    await linh.click('hand-in')
    await linh.click('confirm-hand-in')
    await linh.sees('0 %')

    await teacher.go('/evidence')
    await teacher.press('Science 8 C')
    await teacher.sees('Linh Petrov')
    for (const name of ['Linh Petrov', mate])
      await teacher.has(`[data-cell][aria-label^="${name}, Energy, two by two: 0 %"]`)
    linh.isQuiet()
    teacher.isQuiet()
  })
})

describe('ways into the composer', () => {
  it('lead from the shelf with a whole unit, from a learner and from results', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.tap('[data-hook="tick-unit"]')
    await p.seesIn('[data-hook="ticked-bar"]', '29 pieces, 438 min')
    await p.isAccessible()
    await p.click('assign-ticked')
    await p.seesIn('[data-hook="whole-unit"]', 'Each learner would get 29 separate pieces')
    await p.isAccessible()
    await p.click('only-checks')
    await p.seesIn('[data-hook="go-on"]', 'Go on with 6 pieces')
    await p.click('go-on')
    await p.sees('6 pieces,')
    await p.go('/evidence')
    await p.page.locator('[data-hook="column"]:not([disabled])').click()
    await p.tap('[data-hook="give-else"]')
    await p.sees('Nothing is chosen to do. Add a piece.')
    expect(await p.text('[data-hook="target-learner"]')).not.toBe('')
    p.isQuiet()
  })
})

describe('what is new', () => {
  it('is told to a learner in the app and by mail', async () => {
    const learner = await demoPerson(server, 'noa', '/', PHONE)
    await learner.click('news')
    await learner.has('[data-hook="my-news"] li')
    await learner.isAccessible()
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-wav402')
    await p.click('all-offered')
    await p.fill('[name="title"]', 'A quick look back')
    await p.sees('Publish to 85 learners')
    await p.click('publish')
    await p.sees('Published to 85 learners')
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.click('news')
    await learner.seesIn('[data-hook="my-news"] li', 'A quick look back')
    await p.go('/outbox')
    await p.seesIn('[data-hook="letters"]', 'A quick look back')
    await p.isAccessible()
    learner.isQuiet()
    p.isQuiet()
  })
})

describe('rules of one’s own', () => {
  it('are kept under a name, and a group goes by how a class stands', async () => {
    const p = await demoPerson(server, 'imani', '/work/new?piece=piece-wav402')
    await p.sees('Last look')
    await p.click('change-rules')
    await p.fill('[name="maxAttempts"]', '4')
    await p.click('keep-rules')
    await p.fill('[name="preset-name"]', 'Four tries')
    await p.choose('[data-hook="preset-scope"]', 'with every “Check”')
    await p.click('keep-preset')
    await p.sees('“Four tries” is kept among your rules')
    await p.go('/work/new?piece=piece-wav402')
    await p.seesIn('[data-hook="rules"]', '4 tries')
    await p.click('drop-preset')
    await p.sees('“Four tries” is no longer among your rules')
    await p.go('/classes')
    await p.page.locator('main ::-p-text(Science 8 B)').click()
    await p.fill('[name="new-group"]', 'To look after')
    await p.choose('[data-hook="group-by"]', 'whoever stands below')
    await p.isAccessible()
    await p.press('Add group')
    await p.sees('“To look after” has')
    await p.sees('below 60 % in all')
    p.isQuiet()
  })
})

/** Linh alone is in grade 9, and with that in a group by grade. */
async function aGroupByGrade(p: Person): Promise<void> {
  await p.page.locator('main ::-p-text(Science 8 C)').click()
  await p.fill('[aria-label="Find a learner"]', 'linh')
  for (const grade of ['Grade 10', 'Grade 9']) {
    await p.click('grade-all')
    await p.page.locator(`::-p-aria([name="${grade}"][role="menuitem"])`).click()
    await p.sees(`1 learner in ${grade.toLowerCase()}`)
    await gone(p, '[role="menu"]')
  }
  await p.fill('[name="new-group"]', 'Nines')
  await p.choose('[data-hook="group-by"]', 'whoever is in grade')
  await p.click('group-grades')
  await p.page.locator('::-p-aria([name="9"][role="option"])').click()
  await p.keys('Escape')
  await gone(p, '[role="listbox"]')
  await p.isAccessible()
  await p.press('Add group')
  await p.sees('“Nines” has 1 learner now')
}

describe('grades, and rules of a group alone', () => {
  it('reach those who are in the grade, who may not use what others may', async () => {
    const teacher = await demoPerson(server, 'imani', '/classes')
    await aGroupByGrade(teacher)
    await teacher.go('/work/new?piece=piece-wav402')
    await teacher.click('all-offered')
    await teacher.click('add-who')
    await teacher.choose('[data-hook="grade"]', 'grade 9')
    await teacher.sees('1 learner found')
    await teacher.choose('[data-hook="grade"]', 'any grade')
    await teacher.fill('[aria-label="Filter recipients"]', 'nines')
    await teacher.page.locator('[data-hook="recipients"] label').click()
    await teacher.click('picker-done')
    await gone(teacher, '[role="dialog"]')
    await openFromNow(teacher)
    await teacher.fill('[name="title"]', 'By head for some')
    const limits = '[data-hook="limits"][aria-label*="of Nines"]'
    await teacher.tap(limits)
    await teacher.click('own-help')
    await teacher.click('own-help-calculator')
    await teacher.isAccessible()
    await teacher.keys('Escape')
    await teacher.seesIn(limits, 'help: none')
    await teacher.click('publish')
    await teacher.sees('Published to 85 learners')
    for (const [who, tools] of [
      ['linh', 0],
      ['noa', 1],
    ] as const) {
      const learner = await demoPerson(server, who, '/', PHONE)
      await learner.page.locator('[data-hook="work-now"] ::-p-text(By head for some)').click()
      await learner.click('start')
      await learner.has('[data-hook="question-1"]')
      // tools come a moment later, where there are any
      if (tools > 0) await learner.has('[data-hook="help"]')
      expect((await learner.page.$$('[data-hook="help"]')).length).toBe(tools)
      await learner.isAccessible()
      learner.isQuiet()
    }
    teacher.isQuiet()
  })
})

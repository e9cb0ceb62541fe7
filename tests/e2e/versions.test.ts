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

/** Selects words of the piece, as a mouse does. */
async function select(p: Person, words: string): Promise<void> {
  await p.has('[data-hook="core-text"]')
  await p.page.evaluate((wanted) => {
    const walker = document.createTreeWalker(
      document.querySelector('[data-hook="core-text"]') as Node,
      NodeFilter.SHOW_TEXT,
    )
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const at = (node.textContent ?? '').indexOf(wanted)
      if (at < 0) continue
      const range = document.createRange()
      range.setStart(node, at)
      range.setEnd(node, at + wanted.length)
      getSelection()?.removeAllRanges()
      getSelection()?.addRange(range)
      return
    }
  }, words)
}
/** The address of a class's trail sheet, from the list of classes. */
async function trailsOf(p: Person, name: string): Promise<void> {
  await p.go('/classes')
  await p.tap(`[data-hook="classes"] ::-p-text(${name})`)
  await p.click('to-trails')
  await p.has('[data-hook="trail-sheet"] [data-step]')
}

describe('support over a piece of one’s own', () => {
  it('is written beside what learners get, compared, broken by a change of the piece, and mended', async () => {
    const p = await demoPerson(server, 'imani', '/shelf')
    await p.tap('::-p-text(What floats in our tank)')
    await p.seesIn('[data-hook="inside"]', 'None yet.')
    await p.click('to-versions')
    await p.sees('these learners get the piece as it is')
    for (const part of ['steps', 'wordBank'] as const) await p.click(`add-${part}`)
    await p.fill('[data-hook="part-steps"] textarea', 'Read it.\nThink of one thing.')
    await p.fill('[data-hook="part-wordBank"] textarea', 'density\nfloats')
    await p.click('add-marks')
    await select(p, 'a steel nut sinks')
    await p.fill('[name="mark-as"]', 'seen')
    await p.click('mark-anew')
    await p.seesIn('[data-hook="version-shown"]', 'Marked in the text: seen')
    await p.seesIn('[data-hook="version-shown"]', 'Words you can use density floats')
    await p.isAccessible()
    await p.click('keep-layer')
    await p.sees('Saved. Learners who have not begun get it.')
    await p.click('compare')
    await p.seesIn('[data-hook="compared"]', 'Marked passages')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="compared"]', 'density · floats')
    await p.isAccessible()

    await p.go('/shelf')
    await p.tap('::-p-text(What floats in our tank)')
    await p.seesIn('[data-hook="inside"]', 'guided.')
    await p.click('change-piece')
    await p.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[name="title"]')?.value === 'What floats in our tank',
    )
    const source = await p.page.waitForSelector('textarea[name="content"]')
    const text = await source?.evaluate((e) => (e as HTMLTextAreaElement).value)
    await p.fill(
      'textarea[name="content"]',
      (text ?? '').replace('a steel nut sinks', 'a heavy steel nut sinks'),
    )
    await p.click('save-piece')
    await p.seesIn('[data-hook="inside"]', 'a heavy steel nut sinks')
    await p.click('to-versions')
    await p.seesIn('[data-hook="misfits"]', '“a steel nut sinks” is no longer in the text.')
    await p.click('mend')
    await p.seesIn('[data-hook="version-shown"]', 'heavy steel nut sinks')
    await p.click('keep-layer')
    await p.sees('Saved. Learners who have not begun get it.')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.has('[data-hook="part-marks"]')
    expect(await p.page.$('[data-hook="misfits"]')).toBeNull()
    p.isQuiet()
  })
})

describe('trails', () => {
  it('are walked by keys, lead to a version each, and the text that comes back is scored with its plan', async () => {
    const teacher = await demoPerson(server, 'imani', '/classes')
    await trailsOf(teacher, 'Science 7 D')
    await teacher.isAccessible()
    await teacher.click('take-all')
    await teacher.has('[data-hook="steps-foot"]')
    const steps = async () => teacher.page.$$eval('tr.set', (rows) => rows.length)
    const taken = await steps()
    expect(taken).toBeGreaterThan(0)
    // to the first learner who was not moved, and there one step by key
    await teacher.page.focus('tr:not(.set) [data-step]')
    await teacher.keys('ArrowLeft')
    if ((await steps()) === taken) await teacher.keys('ArrowRight')
    expect(await steps()).toBe(taken + 1)
    expect(await teacher.focused()).toContain(', was ')
    await teacher.keys('ArrowDown', 'ArrowUp')
    expect(await teacher.focused()).toContain(', was ')
    await teacher.click('keep-steps')
    await teacher.sees('Work that they have not begun follows.')
    expect(await teacher.page.$('[data-hook="steps-foot"]')).toBeNull()

    await teacher.go('/work/new?piece=piece-pro402')
    await teacher.has('[data-hook="versions-panel"]')
    await teacher.tap('tr.base [data-hook="moment-opens"]')
    await teacher.choose('[data-hook="moment-editor"] button[role="combobox"]', 'When published')
    await teacher.click('moment-done')
    await teacher.tap('[data-hook="versions-panel"] button')
    await teacher.tap('[data-hook="version-row"] [aria-label="Saoirse Mbeki"]')
    await teacher.tap('[data-hook="give-guided"]')
    await teacher.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-hook="version-row"]')].some((r) =>
        /Saoirse Mbeki.*guided for this work only/.test((r as HTMLElement).innerText.replace(/\s+/g, ' ')),
      ),
    )
    await teacher.isAccessible()
    await teacher.tap('[data-hook="publish"]')
    await teacher.page.waitForFunction(() => !location.pathname.endsWith('/new'))

    const learner = await demoPerson(server, 'saoirse')
    await learner.tap('[data-hook="work-now"] ::-p-text(Argue: the best handle)')
    // what is handed in as files comes a moment later, and moves the button
    await learner.has('[data-hook="choose-file"]')
    await learner.click('start')
    await learner.seesIn('[data-hook="support"]', 'Step by step')
    await learner.sees('Words you can use')
    await learner.isAccessible()
    await learner.fill('[data-hook="fill-in"] textarea', 'Wood makes the best handle')
    await learner.fill('fieldset[data-kind="extended"] textarea', 'I choose wood because it is an insulator.')
    await learner.page.waitForFunction(() =>
      /^saved /.test(document.querySelector('[data-hook="saved"]')?.textContent ?? ''),
    )
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.has('[data-hook="fill-in"] textarea')
    expect(
      await learner.page.$eval('[data-hook="fill-in"] textarea', (e) => (e as HTMLTextAreaElement).value),
    ).toBe('Wood makes the best handle')
    expect(await learner.text()).not.toMatch(/guided|bare/)
    await learner.tap('[data-hook="hand-in"]')
    await learner.click('confirm-hand-in')
    await learner.sees('still to be scored by your teacher')

    await teacher.go('/evidence')
    await teacher.tap('::-p-text(Science 7 D)')
    await teacher.tap('[data-hook="column"] ::-p-text(Argue: the best handle)')
    await teacher.click('to-queue')
    await teacher.seesIn('[data-hook="text"]', 'I choose wood')
    await teacher.page.waitForFunction(() =>
      [...document.querySelectorAll<HTMLTextAreaElement>('[data-hook="filled-in"] textarea')].some(
        (e) => e.value === 'Wood makes the best handle',
      ),
    )
    await teacher.isAccessible()
    // 7 of 8 points by three criteria
    await teacher.keys('4', '1', '2')
    await teacher.seesIn('[data-hook="left"]', 'all scored')
    await teacher.click('release')
    await teacher.click('confirm')
    await teacher.sees('1 score released.')
    await trailsOf(teacher, 'Science 7 D')
    await teacher.page.waitForFunction(() =>
      [...document.querySelectorAll('[data-hook="trail-sheet"] svg')].some((svg) =>
        svg.getAttribute('aria-label')?.includes('Argue: the best handle: guided, 88 %'),
      ),
    )
    teacher.isQuiet()
    learner.isQuiet()
  })
})

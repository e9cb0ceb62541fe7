import { beforeAll, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

const inspected = (p: Person) => p.text('[data-hook="inspector-lesson"] h2')
const chosen = (p: Person) => p.page.$eval('button.selected', (e) => e.getAttribute('aria-label') ?? '')
const length = (p: Person) => p.text('[data-hook="length"]')

describe('the planning desk by keyboard alone', () => {
  it('moves between lessons and classes, changes a length, and takes it back over a reload', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    // into the desk by Tab: the chosen stone is the one that can be reached
    await p.page.focus('[data-hook="shortcuts"]')
    for (let i = 0; i < 8 && !(await p.focused()).includes('lesson W2.4'); i++) await p.keys('Tab')
    expect(await p.focused()).toContain('Science 8 A, Tue 20 Oct, lesson W2.4 Waves that bounce back')
    await p.keys('ArrowDown')
    expect(await inspected(p)).toBe('W2.5 Waves that meet')
    await p.keys('ArrowUp', 'ArrowUp')
    expect(await inspected(p)).toBe('W2.3 Transverse and longitudinal')
    await p.keys('ArrowRight')
    expect(await chosen(p)).toContain('Science 8 B, Wed 21 Oct, lesson W2.3')
    expect(await p.focused()).toContain('Science 8 B')
    await p.keys('ArrowDown')
    const before = await p.text('[data-hook="inspector-lesson"]')
    // what moves others is looked at first; more of the same key changes what is looked at
    await p.keys('+', '+')
    await p.seesIn('[data-hook="ripple"] h2', 'W2.4 longer')
    await p.has('button.ghost[aria-label*="Science 8 B"][aria-label*="W2.5"]')
    await p.seesIn('[data-hook="ripple"]', 'lessons')
    expect(await length(p)).toBe('1½ meetings')
    await p.keys('-', 'Enter')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="ripple"]'))
    await p.seesIn('[data-hook="length"]', '2 meetings')
    await p.seesIn('[data-hook="undo"]', 'Undo: 8 B: W2.4 longer, use slack')
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="undo"]', 'Undo: 8 B: W2.4 longer, use slack')
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'Redo: 8 B: W2.4 longer, use slack')
    await p.page.locator('button[aria-label*="Science 8 B"][aria-label*="lesson W2.4"]').click()
    expect(await length(p)).toBe('1½ meetings')
    expect(await p.text('[data-hook="inspector-lesson"]')).toBe(before)
    p.isQuiet()
  })

  it('loses a meeting with a reason, moves the work that hangs on it, and gives it back', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    // W2.6, whose looking back is published
    for (let i = 0; i < 3; i++) await p.keys('ArrowDown')
    expect(await inspected(p)).toBe('W2.6 Looking back at waves')
    const dates = () => p.text('[aria-label="This lesson in every class"]')
    const before = await dates()
    await p.keys('x')
    await p.sees('Lose a meeting')
    await p.page.keyboard.type('Snow day')
    await p.keys('Enter')
    await p.seesIn('[data-hook="ripple"] h2', 'Snow day')
    await p.seesIn('[data-hook="ripple"]', 'of work')
    await p.keys('Enter')
    await p.sees('of work moved with the plan')
    await p.seesIn('[data-hook="undo"]', 'Snow day')
    const after = await dates()
    expect(after).not.toBe(before)
    // only this class moves
    expect(after.split('Science 8 B')[1]).toBe(before.split('Science 8 B')[1])
    await p.has('[data-hook="lost"][aria-label*="Snow day"]')
    await p.keys('Control+z')
    await p.page.waitForFunction(() => !document.querySelector('[data-hook="lost"][aria-label*="Snow day"]'))
    expect(await dates()).toBe(before)
    p.isQuiet()
  })

  it('opens one class and the sheet of keys', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    await p.keys('o')
    await p.page.waitForFunction(() => document.querySelector('h1')?.textContent.includes('Science 8 A'))
    await p.sees('Week of Mon 19 Oct')
    await p.sees('Check: transverse and longitudinal due')
    await p.page.focus('button.selected')
    await p.keys('?')
    await p.sees('Keys on the desk')
    await p.keys('Escape')
    p.isQuiet()
  })
})

describe('the planning desk by mouse', () => {
  it('lights up the same lesson in each class and changes its length', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.page.locator('button[aria-label^="Science 8 C"][aria-label*="lesson W2.5"]').click()
    expect(
      await p.page.$$eval(
        'button.lit',
        (list) => new Set(list.map((e) => (e.getAttribute('aria-label') ?? '').slice(0, 11))).size,
      ),
    ).toBe(2)
    // the section that is behind has it shorter by half a meeting
    await p.seesIn('[data-hook="length"]', '1½ meetings')
    // half a meeting of slack takes it: no other day moves, so there is nothing to look at first
    await p.press('As in the plan: 2')
    await p.seesIn('[data-hook="undo"]', '8 C: W2.5 as in the plan')
    await p.click('lengthen')
    await p.seesIn('[data-hook="ripple"]', 'W2.6 no longer fits')
    await p.click('way-tighten')
    await p.page.waitForFunction(
      () => document.querySelector('[data-hook="way-tighten"]')?.getAttribute('aria-pressed') === 'true',
    )
    await p.click('apply-ripple')
    await p.seesIn('[data-hook="length"]', '2½ meetings')
    await p.click('undo')
    await p.seesIn('[data-hook="length"]', '2 meetings')
    await p.click('undo')
    await p.seesIn('[data-hook="length"]', '1½ meetings')
    p.isQuiet()
  })

  it('hides and shows classes', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.click('chip-7 D')
    await p.page.waitForFunction(() => document.querySelectorAll('.colhead').length === 4)
    await p.click('chip-7 D')
    await p.page.waitForFunction(() => document.querySelectorAll('.colhead').length === 5)
  })

  it('shows a co-teacher and a lead what is theirs', async () => {
    const tomasz = await demoPerson(server, 'tomasz', '/pace')
    await tomasz.has('.colhead')
    expect(await tomasz.page.$$eval('.colhead .name', (list) => list.map((e) => e.textContent))).toEqual([
      'Science 8 B',
    ])
    const ruth = await demoPerson(server, 'ruth', '/pace')
    await ruth.has('.colhead')
    expect((await ruth.page.$$('.colhead')).length).toBe(5)
    expect(await ruth.page.$eval('[data-hook="lengthen"]', (e) => (e as HTMLButtonElement).disabled)).toBe(
      true,
    )
  })

  it('offers to fix a lesson to the day on which it lies, in each class its own', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    const offered = () =>
      p.page.$eval('[data-hook="lesson-fixed"] input', (e) => (e as HTMLInputElement).value)
    await p.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await p.seesIn('#inspector', 'W2.4')
    expect(await offered()).toBe('Tue 20 Oct 2026')
    await p.page.locator('button[aria-label^="Science 8 C"][aria-label*="lesson W2.4"]').click()
    await p.seesIn('#inspector', 'Science 8 C')
    expect(await offered()).toBe('Tue 3 Nov 2026')
    p.isQuiet()
  })
})

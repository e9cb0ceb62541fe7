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

/** Presses a cell of the evidence grid: a learner's row, and the nth column from the right. */
async function pressCell(p: Person, learner: string, fromRight: number, withCtrl = false): Promise<void> {
  await p.page.evaluate(
    (name, at, ctrlKey) => {
      const row = [...document.querySelectorAll('tbody tr')].find(
        (r) => r.querySelector('th')?.textContent === name,
      )
      const cell = [...(row?.querySelectorAll('[data-cell]') ?? [])].at(-at)
      cell?.dispatchEvent(new MouseEvent('click', { bubbles: true, ctrlKey }))
    },
    learner,
    fromRight,
    withCtrl,
  )
}

describe('work of two pieces', () => {
  it('is put together on the desk, read by a learner, and taken back while nobody has begun', async () => {
    const teacher = await demoPerson(server, 'imani', '/pace')
    await teacher.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await teacher.has('[data-hook="tick-piece"]')
    const ticks = await teacher.page.$$('[data-hook="tick-piece"]')
    await ticks.at(0)?.click()
    await ticks.at(-1)?.click()
    await teacher.click('assign-together')
    await teacher.click('all-offered')
    await teacher.sees('Publish to 85 learners')
    expect((await teacher.page.$$('[data-hook="slip"]')).length).toBe(2)
    await teacher.page.locator('[data-hook="slip"]:first-child [data-hook="when-before"]').click()
    await teacher.seesIn('[data-hook="own-moments"]', 'Science 8 B: due Tue 27 Oct, 8:30 am')
    // in 8 A the class has begun: what is read before it would be due in the past
    await teacher.sees('Science 8 A: “What happens at the end” is due in the past')
    await teacher.isAccessible()
    await teacher.tap('::-p-text(Leave Science 8 A out)')
    await teacher.sees('Publish to 57 learners')
    await teacher.click('publish')
    await teacher.sees('Published to 57 learners')
    await teacher.sees('Undo: published “')
    await teacher.click('undo')
    await teacher.seesIn('[data-hook="need-withdrawn"]', '2 pieces')
    await teacher.click('redo')
    await teacher.page.waitForFunction(() => !document.querySelector('[data-hook="need-withdrawn"]'))

    const learner = await demoPerson(server, 'emeka', '/', { width: 390, height: 844 })
    await learner.sees('0 of 2 steps done')
    await learner.page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[data-hook="work-now"][data-steps="2"]')]
        .find((e) => e.innerText.includes('Waves that bounce back'))
        ?.click(),
    )
    await learner.sees('I have read it')
    await learner.isAccessible()
    await learner.click('finish')
    await learner.sees('Done Wed 21 Oct')
    await learner.page.reload({ waitUntil: 'networkidle0' })
    await learner.page.locator('[data-hook="step"]').click()
    await learner.sees('Done Wed 21 Oct')
    await learner.page.locator('li:last-child [data-hook="step"]').click()
    await learner.sees('Opens Tue 27 Oct, 8:30 am')
    learner.isQuiet()

    await teacher.click('undo')
    await teacher.sees('A learner has begun this, so it is not taken back by undo.')
    teacher.isQuiet()
  })
})

describe('a piece that was changed after it was given out', () => {
  it('is offered to who has not begun, and is then the one that is given', async () => {
    const teacher = await demoPerson(server, 'imani', '/work')
    await teacher.page.locator('::-p-aria([name="Looking back: density"][role="link"])').click()
    await teacher.seesIn('[data-hook="newer-form"]', 'This piece was changed since.')
    await teacher.isAccessible()
    const learner = await demoPerson(server, 'saoirse')
    await learner.page.locator('[data-hook="work-now"][data-steps="2"]').click()
    await learner.sees('Before class, think of one thing')
    expect(await learner.text('main')).not.toContain('our oil 0.9')
    await teacher.click('take-newer')
    await teacher.click('save')
    await teacher.sees('Changes saved')
    await teacher.page.locator('::-p-aria([name="Looking back: density"][role="link"])').click()
    await teacher.has('[data-hook="slip"]')
    expect(await teacher.page.$('[data-hook="newer-form"]')).toBeNull()
    // Saoirse has opened it by now, and goes on with the form that she knows; another learner gets the new one
    await learner.page.reload({ waitUntil: 'networkidle0' })
    expect(await learner.text('main')).not.toContain('our oil 0.9')
    teacher.isQuiet()
    learner.isQuiet()
  })

  it('is written again on its page', async () => {
    const teacher = await demoPerson(server, 'imani', '/shelf')
    await teacher.go('/shelf')
    await teacher.page.locator('::-p-text(What floats in our tank)').click()
    await teacher.click('change-piece')
    await teacher.sees('Change this piece')
    await teacher.page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[name="title"]')?.value === 'What floats in our tank',
    )
    await teacher.isAccessible()
    await teacher.fill('[name="title"]', 'What floats, and why')
    await teacher.click('save-piece')
    await teacher.seesIn('[data-hook="inside"]', 'What floats, and why')
    teacher.isQuiet()
  })
})

describe('one learner', () => {
  it('is given a try and more time from the grid, is left out, and all of it is undone', async () => {
    const teacher = await demoPerson(server, 'imani', '/evidence')
    await teacher.sees('Handed in')
    await pressCell(teacher, 'Aroha Ibarra', 3)
    await teacher.seesIn('[data-hook="chosen-cells"]', 'Aroha Ibarra')
    await teacher.isAccessible()
    await teacher.click('give-try')
    await teacher.sees('Aroha Ibarra: one more try')
    await teacher.sees('Undo: more given in')
    await pressCell(teacher, 'Bilal Mensah', 3, true)
    await teacher.seesIn('[data-hook="chosen-cells"]', '2 learners')
    await teacher.page.locator('[data-hook="chosen-cells"] input').fill('30 oct')
    await teacher.keys('Tab')
    await teacher.click('give-time')
    await teacher.sees('2 learners: time through Fri 30 Oct')
    await teacher.click('excuse')
    await teacher.sees('2 learners: left out')
    await teacher.seesIn('[data-hook="chosen-cells"]', 'Left out of it')
    for (let i = 0; i < 3; i++) {
      const before = await teacher.text('[data-hook="steps"]')
      await teacher.click('undo')
      await teacher.page.waitForFunction(
        (was) =>
          (document.querySelector('[data-hook="steps"]') as HTMLElement).innerText.replace(/\s+/g, ' ') !==
          was,
        {},
        before,
      )
    }
    await teacher.seesIn('[data-hook="chosen-cells"]', 'One more try')
    // by keys: the grid is one stop, arrows move within it
    await teacher.page.focus('[data-cell][tabindex="0"]')
    const from = await teacher.focused()
    await teacher.keys('ArrowDown', 'ArrowRight')
    expect(await teacher.focused()).not.toBe(from)
    await teacher.keys('Enter')
    await teacher.has('[data-hook="chosen-cells"]')
    teacher.isQuiet()
  })
})

declare global {
  interface Window {
    pressed: { clicks: number; keys: number }
  }
}

describe('the common case', () => {
  it('takes two presses from the lesson and no typing: its check, its class, due at the next meeting', async () => {
    const teacher = await demoPerson(server, 'imani', '/pace')
    await teacher.page.evaluate(() => {
      window.pressed = { clicks: 0, keys: 0 }
      const counted = (kind: 'clicks' | 'keys') => (event: Event) => {
        if (event.isTrusted) window.pressed[kind]++
      }
      window.addEventListener('click', counted('clicks'), true)
      window.addEventListener('keydown', counted('keys'), true)
    })
    await teacher.page.locator('button[aria-label^="Science 8 A"][aria-label*="lesson W2.4"]').click()
    await teacher.page
      .locator('[aria-label="Pieces of this lesson"] li:last-child [data-hook="assign"]')
      .click()
    await teacher.sees('Publish to 28 learners')
    await teacher.seesIn('.base', 'last meeting of W2.4 + 1, class end')
    await teacher.click('publish')
    await teacher.sees('Published to 28 learners')
    expect(await teacher.page.evaluate(() => window.pressed)).toEqual({ clicks: 3, keys: 0 })
    teacher.isQuiet()
  })
})

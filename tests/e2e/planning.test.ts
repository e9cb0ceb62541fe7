import { beforeAll, describe, expect, it } from 'vitest'
import { ShowDesk } from '#shared/contracts/pacing'
import { LayPlan, MakePlan } from '#shared/contracts/plans'
import { ShowOverview } from '#shared/contracts/teaching'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { aServer, signedIn } from '../support/server'
import type { Agent, Running } from '../support/server'

withBrowser()
let server: Running
let imani: Agent
beforeAll(async () => {
  server = await aServer('demo')
  imani = await signedIn(server, 'imani')
})

const gone = (p: Person, selector: string) =>
  p.page.waitForFunction((s) => !document.querySelector(s), {}, selector)
const stone = (section: string, lesson: string) =>
  `button[aria-label^="${section}"][aria-label*="lesson ${lesson} "]`
const rows = (p: Person) =>
  p.page.$$eval('[data-hook="ripple"] tbody tr', (list) =>
    list.map((r) => (r as HTMLElement).innerText.replace(/\s+/g, ' ')),
  )
const stored = async () =>
  JSON.stringify((await imani.call(ShowDesk)).value, (key, value) =>
    ['version', 'now', 'steps'].includes(key) ? undefined : value,
  )

describe('a snow day by keyboard alone', () => {
  it('shows five ways out for all five sections, is made in one step, and undo brings all back', async () => {
    const before = await stored()
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    // W2.5 of 8 A begins on Thu 22 Oct
    await p.keys('ArrowDown', 'n')
    await p.sees('Announce a day')
    expect(await p.page.$eval('input[name="note-from"]', (e) => (e as HTMLInputElement).value)).toBe(
      'Thu 22 Oct 2026',
    )
    await p.page.keyboard.type('Snow day')
    await p.keys('Enter')
    await p.seesIn('[data-hook="ripple"]', 'Science 7 E')
    expect(
      await p.page.$$eval('[data-hook="ripple"] thead button', (list) =>
        list.map((b) => b.textContent.trim()),
      ),
    ).toEqual(['1 Push on', '2 Use slack', '3 Tighten', '4 Let go', '5 Hold'])
    const [a, b, c, d, e] = await rows(p)
    // the snow falls on an A day, yet it is the B sections that lose a meeting before their test: the letters
    // move on
    expect(a).not.toContain('fixed')
    expect(c).not.toContain('fixed')
    expect(b).toContain('W2.7 fixed 17 Nov → 18 Nov')
    expect(d).toContain('M2.5 fixed 10 Nov')
    // all ways come to the same where nothing moves, and are one cell
    expect(e?.match(/stays as it is/g)).toHaveLength(1)
    expect(e).toContain('Push on or Use slack or Tighten or Let go or Hold: the same here')
    await p.has('button.ghost')
    await p.keys('3')
    await p.page.waitForFunction(
      () => document.querySelector('[data-hook="way-tighten"]')?.getAttribute('aria-pressed') === 'true',
    )
    await p.keys('Enter')
    await gone(p, '[data-hook="ripple"]')
    await p.sees('of work moved with the plan')
    await p.seesIn('[data-hook="undo"]', 'Undo: Snow day, Thu 22 Oct, tighten')
    await p.seesIn('.desk', 'Snow day, Thu 22 Oct')
    const after = await stored()
    expect(after).not.toBe(before)
    await p.page.reload({ waitUntil: 'networkidle0' })
    await p.seesIn('[data-hook="undo"]', 'Undo: Snow day')
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'Redo: Snow day')
    expect(await stored()).toBe(before)
    await p.keys('Control+Shift+z')
    await p.seesIn('[data-hook="undo"]', 'Undo: Snow day')
    expect(await stored()).toBe(after)
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'Redo: Snow day')
    p.isQuiet()
  })

  it('is dropped with Escape, and nothing was changed', async () => {
    const before = await stored()
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    await p.keys('+')
    await p.has('[data-hook="ripple"]')
    await p.keys('Escape')
    await gone(p, '[data-hook="ripple"]')
    expect(await stored()).toBe(before)
  })
})

describe('the rest of the desk by keyboard alone', () => {
  it('covers, carries over, moves, fixes and leaves out, each with its undo', async () => {
    const before = await stored()
    const p = await demoPerson(server, 'imani', '/pace')
    await p.has('button.selected')
    await p.page.focus('button.selected')
    await p.keys('c')
    await p.seesIn('[data-hook="lesson-record"]', 'Covered, finished Tue 20 Oct, took 1 meeting')
    await p.seesIn('[data-hook="undo"]', 'Undo: 8 A: W2.4 covered')
    // covered early: what follows comes sooner
    await p.has(
      'button[aria-label="Science 8 A, Thu 22 Oct, lesson W2.5 Waves that meet, ' +
        'first to second of 2 meetings, planned"], button[aria-label^="Science ' +
        '8 A, Thu 22 Oct, lesson W2.5"]',
    )
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'Redo: 8 A: W2.4 covered')
    await p.page.focus('button.selected')
    await p.keys('v')
    await p.seesIn('[data-hook="ripple"] h2', 'W2.4 carried over')
    await p.seesIn('[data-hook="ripple"]', 'Science 8 A')
    await p.keys('Enter')
    await gone(p, '[data-hook="ripple"]')
    await p.seesIn('[data-hook="lesson-record"]', 'Under way: 1 meeting held, 1 more to come')
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'W2.4 carried over')
    await p.page.focus('button.selected')
    await p.keys('ArrowDown', 'Shift+ArrowDown')
    await p.seesIn('[data-hook="ripple"] h2', 'W2.5 moved')
    await p.seesIn('[data-hook="ripple"]', 'Science 8 A')
    await p.keys('Enter')
    await gone(p, '[data-hook="ripple"]')
    await p.seesIn('[data-hook="undo"]', 'W2.5 moved')
    await p.keys('Control+z')
    await p.seesIn('[data-hook="redo"]', 'W2.5 moved')
    await p.page.focus('button.selected')
    // in 8 B it begins with a whole meeting, so fixing it there moves nothing
    await p.keys('ArrowRight', 'f')
    await p.seesIn('[data-hook="lesson-fixed"]', 'Fixed on Mon 2 Nov, in this class')
    await p.keys('f')
    await p.seesIn('[data-hook="lesson-fixed"]', 'None: it lies where')
    await p.page.focus('button.selected')
    await p.keys('l')
    await p.seesIn('[data-hook="ripple"] h2', 'W2.5 left out')
    await p.seesIn('[data-hook="ripple"]', 'Science 8 B')
    await p.keys('Enter')
    await gone(p, '[data-hook="ripple"]')
    await p.seesIn('[data-hook="inspector-lesson"]', 'It is left out in this class')
    for (let i = 0; i < 3; i++) {
      await p.keys('Control+z')
      await p.page.waitForFunction(
        () => !(document.querySelector('[data-hook="undo"]') as HTMLButtonElement).disabled,
      )
    }
    await p.seesIn('[data-hook="undo"]', '“Check: white light taken apart” changed in the plan')
    expect(await stored()).toBe(before)
    p.isQuiet()
  })
})

describe('the desk by mouse', () => {
  it('drags a stone before another one, pulls an edge, and adds a lesson on free ground', async () => {
    const p = await demoPerson(server, 'imani', '/pace', { width: 1600, height: 900 })
    await p.has(stone('Science 8 A', 'W2.5'))
    const middle = async (selector: string, at = 0.3) => {
      const box = await (await p.page.$(selector))?.boundingBox()
      if (!box) throw new Error(`${selector} is not there`)
      return { x: box.x + box.width * at, y: box.y + box.height / 2 }
    }
    const [from, to] = [
      await middle(stone('Science 8 A', 'W2.b')),
      await middle(stone('Science 8 A', 'W2.5')),
    ]
    await p.page.mouse.move(from.x, from.y)
    await p.page.mouse.down()
    await p.page.mouse.move(from.x + 8, from.y + 4)
    await p.page.mouse.move(to.x, to.y, { steps: 6 })
    await p.page.mouse.up()
    await p.seesIn('[data-hook="ripple"] h2', 'W2.b moved')
    await p.dropRipple()
    // the edge of a stone is there once the mouse comes near
    await p.page.hover(stone('Science 8 A', 'W2.b'))
    await p.has(`${stone('Science 8 A', 'W2.b')} .edge`)
    const edge = await middle(`${stone('Science 8 A', 'W2.b')} .edge`, 0.5)
    await p.page.mouse.move(edge.x, edge.y)
    await p.page.mouse.down()
    await p.page.mouse.move(edge.x + 110, edge.y, { steps: 4 })
    await p.page.mouse.up()
    await p.seesIn('[data-hook="ripple"] h2', 'W2.b longer')
    await p.dropRipple()
    await p.page.locator('button[data-hook="bare"][aria-label^="Science 8 A, Mon 9 Nov"]').click()
    await p.fill('input[name="add-title"]', 'Catch-up lab')
    await p.click('add-lesson')
    await p.seesIn('[data-hook="undo"]', 'added')
    await p.has('button[data-hook="stone"][aria-label^="Science 8 A, Mon 9 Nov"][aria-label*="Catch-up lab"]')
    await p.click('undo')
    await gone(p, 'button[data-hook="stone"][aria-label*="Catch-up lab"]')
    p.isQuiet()
  })

  it('makes a private feed and ends it, and tells what was changed and by whom', async () => {
    const p = await demoPerson(server, 'imani', '/pace')
    await p.click('desk-menu')
    await p.press('Calendar files and feed')
    await p.page.locator('[data-hook="feed-8 A"] [data-hook="make-feed"]').click()
    await p.has('[data-hook="feed-address"]')
    const address = await p.page.$eval('[data-hook="feed-address"]', (e) => (e as HTMLInputElement).value)
    expect((await fetch(address)).status).toBe(200)
    await p.click('revoke-feed')
    await gone(p, '[data-hook="feed-address"]')
    expect((await fetch(address)).status).toBe(404)
    await p.keys('Escape')
    await gone(p, '[data-hook="feed-8 A"]')
    await p.click('desk-menu')
    await p.press('What was changed')
    await p.seesIn('[data-hook="history"]', '7 D: M2.2 covered Imani Okafor-Reyes, Mon 19 Oct')
  })
})

describe('a plan twelve meetings too long', () => {
  it('is weighed in the plan table by pasted rows, made to fit exactly, adjusted, and applied', async () => {
    const room = (await imani.call(ShowOverview)).value?.classes.find((c) => c.name === 'Science 7 E')
    // 118 lessons of one meeting on the 108 meetings of 7 E, four of them half days
    const made = await imani.call(MakePlan, {
      body: {
        title: 'Too long',
        course: 'Science 7',
        text: Array.from({ length: 118 }, (_, i) => `Unit ${1 + Math.floor(i / 20)},Lesson ${i + 1},1`).join(
          '\n',
        ),
      },
    })
    await imani.call(LayPlan, {
      params: { planId: made.value?.planId as never },
      body: { classIds: [room?.id as never], seen: [room?.planId as never] },
    })
    const p = await demoPerson(server, 'imani', `/classes/plan/${made.value?.planId}`)
    await p.sees('7 E: 12 do not fit')
    // rows further down are drawn once they are near: their text is there all the same
    const inTable = (words: string) =>
      p.page.waitForFunction(
        (w) => document.querySelector('[role="listbox"]')?.textContent.includes(w),
        {},
        words,
      )
    await p.click('paste')
    const rows = [
      'Number\tWeight\tTitle',
      ...Array.from({ length: 10 }, (_, i) => `3.${i + 1}\toptional\t`),
      ...Array.from({ length: 10 }, (_, i) => `4.${i + 1}\tuseful\t`),
      '5.1\t\tRenamed in the sheet',
      '9.9\theavy\t',
    ]
    await p.fill('[data-hook="plan-paste"] textarea', rows.join('\n'))
    await p.sees('21 lessons would change, 0 would be added, 1 row cannot be read.')
    await p.press('Leave these rows out')
    await p.click('take-rows')
    await inTable('Renamed in the sheet')
    // what was begun outlives a reload
    await p.page.reload({ waitUntil: 'networkidle0' })
    await inTable('Renamed in the sheet')
    await p.click('save-plan')
    await p.sees('Undo takes it all back in one step')
    await p.go(`/pace/fit?class=${room?.id}`)
    await p.sees('12 meetings too long')
    await p.seesIn('[data-hook="fit"]', 'The cheapest way that fits exactly')
    await p.seesIn('[data-hook="fit"]', '12 meetings won back')
    const cuts = () =>
      p.page.$$eval('[data-hook="cuts"] tbody tr', (list) =>
        list.map((r) => (r as HTMLElement).innerText.replace(/\s+/g, ' ')),
      )
    const first = await cuts()
    // ½ from each optional (½) and useful lesson (1) gives 10; then an optional one left out (½ more and 2)
    // is dearer than ½ of a core lesson (2): four of those, the last ones
    expect(first.filter((c) => c.includes('optional'))).toHaveLength(10)
    expect(first.filter((c) => c.includes('useful'))).toHaveLength(10)
    expect(first.filter((c) => c.includes('core')).map((c) => c.slice(0, 4))).toEqual([
      '6.15',
      '6.16',
      '6.17',
      '6.18',
    ])
    await p.page.locator('[aria-label="Keep 6.18 Lesson 118 as it is"]').click()
    await p.page.waitForFunction(
      () => !document.querySelector('[data-hook="cuts"]')?.textContent.includes('6.18'),
    )
    expect((await cuts()).filter((c) => c.includes('core')).map((c) => c.slice(0, 4))).toEqual([
      '6.14',
      '6.15',
      '6.16',
      '6.17',
    ])
    await p.click('apply-fit')
    await p.seesIn('[data-hook="undo"]', 'Undo: 7 E: made to fit')
    const desk = (await imani.call(ShowDesk)).value
    expect(Object.keys(desk?.classes.find((c) => c.id === room?.id)?.pacing.lengths ?? {})).toHaveLength(24)
    await p.go('/pace')
    await p.has('.colhead')
    expect(
      await p.page.$$eval('.colhead', (list) =>
        list.map((e) => (e as HTMLElement).innerText).filter((t) => t.includes('too many')),
      ),
    ).toEqual([])
    p.isQuiet()
  })
})

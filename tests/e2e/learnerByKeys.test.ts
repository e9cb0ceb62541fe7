import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
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

const MOST_TABS = 80
/** Goes on by Tab until something that matches has the focus. */
async function tabsTo(p: Person, selector: string): Promise<void> {
  for (let n = 0; n < MOST_TABS; n++) {
    if (await p.page.evaluate((s) => document.activeElement?.matches(s), selector)) return
    await p.keys('Tab')
  }
  throw new Error(`${selector} is not come to by Tab; the focus is on ${await p.focused()}`)
}
/** Presses what is come to by Tab. */
async function enter(p: Person, selector: string): Promise<void> {
  await tabsTo(p, selector)
  await p.keys('Enter')
}
/** Waits until the focus is on something that matches. */
const isOn = (p: Person, selector: string) =>
  p.page.waitForFunction((s) => document.activeElement?.matches(s), {}, selector)
/** Waits until the page that was come to is named aloud. */
const isNamed = (p: Person, title: string) =>
  p.page.waitForFunction(
    (words) => document.querySelector('.nuxt-route-announcer [aria-live]')?.textContent.startsWith(words),
    {},
    title,
  )
const titleOf = (p: Person, selector: string) =>
  p.page.$eval(`${selector} h3`, (e) => (e as HTMLElement).innerText.split(' · ')[0] ?? '')

describe('a learner with keys alone', () => {
  it('opens a check, begins, looks at what is left, and comes back to where the list was left', async () => {
    const p = await demoPerson(server, 'linh')
    await p.sees('Now')
    await isNamed(p, 'My work')
    const card = '[data-hook="work-now"][data-steps="1"]'
    await p.has(card)
    await tabsTo(p, card)
    const title = await p.page.evaluate(
      () => document.activeElement?.querySelector('h3')?.textContent.split(' · ')[0] ?? '',
    )
    await p.keys('Enter')
    await p.has('[data-hook="start"]')
    await isNamed(p, title)
    await isOn(p, 'main')
    await enter(p, '[data-hook="start"]')
    await isOn(p, 'fieldset[data-kind] :is(input, textarea, select, button)')
    await enter(p, '[data-hook="hand-in"]')
    await p.has('[role="dialog"]')
    await isOn(p, '[role="dialog"] *')
    await p.keys('Escape')
    await isOn(p, '[data-hook="hand-in"]')
    await p.page.keyboard.down('Shift')
    await tabsTo(p, 'a[href="/learn"].plain')
    await p.page.keyboard.up('Shift')
    await p.keys('Enter')
    await isNamed(p, 'My work')
    await isOn(p, '[data-hook="work-now"]')
    expect(await p.focused()).toContain(title)
    p.isQuiet()
  })

  it('goes from step to step, each with its name', async () => {
    const p = await demoPerson(server, 'saoirse')
    await p.sees('Now')
    const title = await titleOf(p, '[data-hook="work-now"][data-steps="2"]')
    await enter(p, '[data-hook="work-now"][data-steps="2"]')
    await p.has('[data-hook="steps"]')
    await enter(p, '[data-hook="step"]:not([aria-current])')
    await isOn(p, '[data-hook="piece-title"]')
    const step = await p.text('[data-hook="piece-title"]')
    await isNamed(p, `${step}, ${title}`)
    p.isQuiet()
  })

  it('begins a text, checks it, and hands in a file', async () => {
    const teacher = await demoPerson(server, 'imani', '/shelf-own')
    await teacher.fill('[name="title"]', 'A tower of paper')
    await teacher.choose('[data-hook="piece-kind"]', 'Project')
    await teacher.fill('[name="content"]', 'Build the highest tower that stands for a minute.')
    await teacher.tap('[data-hook="add-criterion"]')
    await teacher.fill('[aria-label="Criterion 1"]', 'Height')
    await teacher.tap('[data-hook="save-piece"]')
    await teacher.has('[data-hook="inside"]')
    await teacher.choose('[data-hook="for-class"]', 'For Science 8 A')
    await teacher.click('assign')
    await teacher.sees('Publish to 28 learners')
    await teacher.click('publish')
    await teacher.sees('Published to 28 learners')

    const p = await demoPerson(server, 'noa')
    await p.sees('A tower of paper')
    await p.page.evaluate(() => {
      const card = Array.from(document.querySelectorAll('[data-hook="work-now"]')).find((e) =>
        e.textContent.includes('A tower of paper'),
      )
      ;(card as HTMLElement | undefined)?.focus()
    })
    await p.keys('Enter')
    await isNamed(p, 'A tower of paper')
    await enter(p, '[data-hook="start"]')
    await isOn(p, 'textarea')
    await p.page.keyboard.type('It stood for two minutes.')
    if (await p.page.$('[data-hook="check-text"]')) {
      await enter(p, '[data-hook="check-text"]')
      await p.has('[data-hook="own-check"] [role="status"]')
      await isOn(p, '[data-hook="check-text"]')
    }
    const file = join(mkdtempSync(join(tmpdir(), 'step-cairn-')), 'tower.txt')
    writeFileSync(file, 'How it was built.')
    await tabsTo(p, '[data-hook="choose-file"]')
    await p.choosesFiles(() => p.keys('Enter'), [file])
    await p.sees('“tower.txt” is handed in.')
    await isOn(p, '[data-hook="choose-file"]')
    p.isQuiet()
  })
})

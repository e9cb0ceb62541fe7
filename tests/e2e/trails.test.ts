import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { dialogLooksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeEach(async () => {
  server = await aServer('demo')
})
afterEach(() => server.stop())

const folder = mkdtempSync(join(tmpdir(), 'texts-'))
function aFile(name: string, content: string | Uint8Array): string {
  writeFileSync(join(folder, name), content)
  return join(folder, name)
}
const TASK = 'Argue: the best handle'
const TEXT = 'I choose wood because it is an insulator.'

/** The trail sheet of a class, from the list of classes. */
async function trailsOf(p: Person, name: string): Promise<void> {
  await p.go('/classes')
  await p.tap(`[data-hook="classes"] ::-p-text(${name})`)
  await p.click('to-trails')
  await p.has('[data-hook="trail-sheet"] [data-step]')
}

/** Takes all suggestions, moves one more learner by key, and keeps the steps. */
async function walksByKeys(p: Person): Promise<void> {
  await p.click('take-all')
  await p.has('[data-hook="steps-foot"]')
  const steps = async () => p.page.$$eval('tr.set', (rows) => rows.length)
  const taken = await steps()
  expect(taken).toBeGreaterThan(0)
  // to the first learner who was not moved, and there one step by key
  await p.page.focus('tr:not(.set) [data-step]')
  await p.keys('ArrowLeft')
  if ((await steps()) === taken) await p.keys('ArrowRight')
  expect(await steps()).toBe(taken + 1)
  expect(await p.focused()).toContain(', was ')
  await p.keys('ArrowDown', 'ArrowUp')
  expect(await p.focused()).toContain(', was ')
  await p.click('keep-steps')
  await p.sees('Work that they have not begun follows.')
  expect(await p.page.$('[data-hook="steps-foot"]')).toBeNull()
}

async function gets(p: Person, name: string, what: string): Promise<void> {
  await p.page.waitForFunction(
    (name, what) =>
      [...document.querySelectorAll('[data-hook="version-row"]')].some((r) => {
        const said = (r as HTMLElement).innerText.replace(/\s+/g, ' ')
        return said.includes(name) && said.includes(`${what} for this work only`)
      }),
    {},
    name,
    what,
  )
}

/** Gives the writing task by trails, two learners in another version and one another task; says who. */
async function givesTask(p: Person): Promise<{ readonly bare: string; readonly parallel: string }> {
  await p.go('/work/new?piece=piece-pro402')
  await p.click('all-offered')
  await p.has('[data-hook="versions-panel"]')
  await p.tap('tr.base [data-hook="moment-opens"]')
  await p.choose('[data-hook="moment-editor"] button[role="combobox"]', 'When published')
  await p.click('moment-done')
  await p.tap('[data-hook="versions-panel"] button')
  const names = await p.page.$$eval('[data-hook="version-row"]', (all) =>
    all
      .filter((row) => (row as HTMLElement).innerText.includes('Science 7 D'))
      .map((row) => (row.querySelector('th') as HTMLElement).innerText),
  )
  const [bare = '', parallel = ''] = names.filter((name) => name !== 'Saoirse Mbeki')
  const tick = (name: string) => p.tap(`[data-hook="version-row"] [aria-label="${name}"]`)
  await tick('Saoirse Mbeki')
  await p.tap('[data-hook="give-guided"]')
  await tick(bare)
  await p.tap('[data-hook="give-bare"]')
  await p.tap('[data-hook="other-task"]')
  await p.has('[role="listbox"]')
  await p.page.keyboard.type('tmp512')
  await p.tap('::-p-aria([name="tmp512 Explain: gaps in a bridge, grade 7"][role="option"])')
  await p.page.waitForSelector('[role="listbox"]', { hidden: true })
  await tick(parallel)
  await p.tap('[data-hook="give-task"]')
  await gets(p, 'Saoirse Mbeki', 'guided')
  await gets(p, bare, 'bare')
  await gets(p, parallel, 'Explain: gaps in a bridge')
  await p.isAccessible()
  await p.tap('[data-hook="publish"]')
  await p.page.waitForFunction(() => !location.pathname.endsWith('/new'))
  return { bare, parallel }
}

/** Opens what a learner of 7 D sees of the task, from the evidence. */
async function looksAs(p: Person, name: string): Promise<void> {
  await p.go('/evidence')
  await p.tap('::-p-text(Science 7 D)')
  await p.tap(`[data-cell][aria-label^="${name}, ${TASK}"]`)
  await p.click('to-lens')
  await p.has('[data-hook="lens-screen"] h1')
}

async function writes(p: Person): Promise<void> {
  await p.tap(`[data-hook="work-now"] ::-p-text(${TASK})`)
  await p.click('start')
  await p.seesIn('[data-hook="support"]', 'Step by step')
  await p.sees('Words you can use')
  await p.isAccessible()
  await p.fill('[data-hook="fill-in"] textarea', 'Wood makes the best handle')
  const text = 'fieldset[data-kind="extended"] textarea'
  await p.fill(text, TEXT.replace('because', 'becuase'))
  await p.click('check-text')
  await p.seesIn('[data-hook="own-check"]', '1 of 8 expected words')
  await p.seesIn('[data-hook="findings"]', 'becuase Is this spelt right? Perhaps: because')
  await p.isAccessible()
  await p.fill(text, TEXT)
  await p.click('check-text')
  await p.seesIn('[data-hook="own-check"]', 'Nothing to look at in the spelling.')
  await p.page.waitForFunction(() =>
    /^saved /.test(document.querySelector('[data-hook="saved"]')?.textContent ?? ''),
  )
  await p.page.reload({ waitUntil: 'networkidle0' })
  const plan = await p.page.waitForSelector('[data-hook="fill-in"] textarea')
  expect(await plan?.evaluate((e) => (e as HTMLTextAreaElement).value)).toBe('Wood makes the best handle')
  expect(await p.text()).not.toMatch(/guided|bare/)
  await p.tap('[data-hook="hand-in"]')
  await p.click('confirm-hand-in')
  await p.sees('Your teacher has yet to score it')
}

describe('trails', () => {
  it('lead three learners to three versions, and the text that comes back by its score to the next point', async () => {
    const teacher = await demoPerson(server, 'imani', '/classes')
    await trailsOf(teacher, 'Science 7 D')
    await teacher.isAccessible()
    await walksByKeys(teacher)
    const { bare, parallel } = await givesTask(teacher)
    await looksAs(teacher, bare)
    expect(await teacher.text('[data-hook="lens-screen"]')).not.toContain('Step by step')
    await looksAs(teacher, parallel)
    await teacher.seesIn('[data-hook="lens-screen"] h1', 'Explain: gaps in a bridge')
    const learner = await demoPerson(server, 'saoirse')
    await writes(learner)

    await teacher.go('/evidence')
    await teacher.tap('::-p-text(Science 7 D)')
    await teacher.tap(`[data-hook="column"] ::-p-text(${TASK})`)
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
    await teacher.page.waitForFunction(
      (task) =>
        [...document.querySelectorAll('[data-hook="trail-sheet"] svg')].some((svg) =>
          svg.getAttribute('aria-label')?.includes(`${task}: guided, 88 %`),
        ),
      {},
      TASK,
    )
    teacher.isQuiet()
    learner.isQuiet()
  })

  it('suggest less support once a text is scored high, and nothing before', async () => {
    const p = await demoPerson(server, 'imani', '/classes')
    const bos = async () => {
      await trailsOf(p, 'Science 7 E')
      const rows = await p.page.$$eval('[data-hook="trail-sheet"] tbody tr', (all) =>
        all.map((e) => (e as HTMLElement).innerText.replace(/\s+/g, ' ')),
      )
      return rows.find((row) => row.startsWith('Bo Mensah')) ?? ''
    }
    expect(await bos()).toContain('neither high nor low in a row')
    await p.go('/evidence')
    await p.tap('::-p-text(Science 7 E)')
    await p.tap('[data-hook="column"][title*="the floating ship"]')
    await p.click('to-queue')
    await p.click('release')
    await p.click('confirm')
    await p.sees('scores released')
    expect(await bos()).toContain('100 %, 88 % high in a row: less support')
    p.isQuiet()
  })

  it('take in texts that were written on paper, and name what is none', async () => {
    const p = await demoPerson(server, 'imani', '/classes')
    const { bare, parallel } = await givesTask(p)
    await p.go('/evidence')
    await p.tap('::-p-text(Science 7 D)')
    await p.tap(`[data-hook="column"] ::-p-text(${TASK})`)
    await p.click('to-queue')
    for (const [time, who] of [
      ['first', bare],
      ['second', parallel],
    ] as const) {
      await p.click('add-texts')
      await p.has('[data-hook="choose-texts"]')
      if (time === 'first') await dialogLooksRight(p)
      await p.fill('[name="pasted"]', `Written on paper, the ${time} time.`)
      await p.click('add-pasted')
      await p.choosesFiles(
        () => p.click('choose-texts'),
        [
          aFile('picture.txt', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0])),
          aFile('texts.csv', `learner,text\n${who},On paper.\n`),
        ],
      )
      await p.seesIn('[data-hook="text-faults"]', 'picture.txt” is no text.')
      await p.page.waitForFunction(() => document.querySelectorAll('[data-hook="text-row"]').length === 2)
      await p.tap('[aria-label="Take out text 1"]')
      await p.click('confirm-texts')
      await p.sees('1 text added.')
      await p.page.waitForSelector('[role="dialog"]', { hidden: true })
      await p.seesIn('[data-hook="left"]', time === 'first' ? '1 of 1 text' : '2 of 2 texts')
    }
    await p.sees('On paper.')
    p.isQuiet()
  })
})

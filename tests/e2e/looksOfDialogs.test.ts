import { beforeAll, describe, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { dialogLooksRight } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('demo')
})

/** An entry of a menu that is open. */
const entry = (p: Person, name: string) =>
  p.page.locator(`::-p-aria([name="${name}"][role="menuitem"])`).click()
const press = (hook: string) => (p: Person) => p.click(hook)
const fromMenu = (hook: string, name: string) => async (p: Person) => {
  await p.click(hook)
  await entry(p, name)
}
/** To the composer of a check for one class. */
async function composing(p: Person): Promise<void> {
  await p.page.locator('[data-offered]').click()
  await p.sees('Publish to')
}

/** Every dialog and panel of a teacher: where it is, what the page says first, and how it opens. */
const DIALOGS: readonly (readonly [
  name: string,
  path: string,
  first: string,
  open: (p: Person) => Promise<void>,
])[] = [
  ['announcing a day', '/pace', 'Length here', press('announce')],
  ['keys', '/pace', 'Length here', press('shortcuts')],
  ['search and commands', '/pace', 'Length here', press('palette')],
  ['what was changed', '/pace', 'Length here', fromMenu('desk-menu', 'What was changed')],
  ['calendar files', '/pace', 'Length here', fromMenu('desk-menu', 'Calendar files and feed')],
  [
    'a lost meeting',
    '/pace',
    'Length here',
    async (p) => {
      await p.page.focus('button.selected')
      await p.keys('x')
    },
  ],
  ['a calendar', '/pace/place', 'Place pieces', (p) => p.page.locator('[aria-label^="Calendar"]').click()],
  [
    'clearing a series',
    '/pace/series',
    'Series',
    async (p) => {
      await p.tap('::-p-text(Science 8 C)')
      await fromMenu('series-more', 'Clear and start over')(p)
    },
  ],
  [
    'a row for somebody',
    '/pace/series',
    'Series',
    async (p) => {
      await p.tap('::-p-text(Science 8 C)')
      await p.page.locator('[aria-label="More for row 2"]').click()
      await entry(p, 'Otherwise for somebody')
    },
  ],
  ['a further piece', '/work/new?piece=piece-wav402', 'Last look', press('add-piece')],
  ['who gets it', '/work/new?piece=piece-wav402', 'Last look', press('add-who')],
  ['a moment', '/work/new?piece=piece-wav402', 'Last look', press('moment-due')],
  [
    'limits',
    '/work/new?piece=piece-wav402',
    'Last look',
    async (p) => {
      await composing(p)
      await p.tap('[data-hook="limits"]')
    },
  ],
  [
    'names of trails',
    '/classes/trails',
    'Of which class?',
    async (p) => {
      await p.tap('main ::-p-text(Science 8 A)')
      await p.click('trail-names')
    },
  ],
]

describe('dialogs have nothing for axe to find, on a laptop and on a phone, in the light and in the dark', () => {
  it.each(DIALOGS)('%s', async (_, path, first, open) => {
    const p = await demoPerson(server, 'imani', path)
    await p.sees(first)
    await open(p)
    await p.has('[role="dialog"]')
    await dialogLooksRight(p)
    p.isQuiet()
  })

  it('handing in, for a learner', async () => {
    const p = await demoPerson(server, 'linh')
    await p.sees('Now')
    await p.click('work-now')
    await p.click('start')
    await p.has('fieldset[data-kind]')
    await p.click('hand-in')
    await p.has('[role="dialog"]')
    await dialogLooksRight(p)
  })
})

import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { AssignmentId, ClassId } from '#core/base'
import { KeepFiling, ShowFiling } from '#shared/contracts/filing'
import { ShowOverview } from '#shared/contracts/teaching'
import { ChangeWork, ListWork, ShowWork } from '#shared/contracts/work'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { dialogLooksRight } from '../support/looks'
import { aServer, signedIn } from '../support/server'
import type { Agent, Running } from '../support/server'

withBrowser()
let server: Running
/** The teacher in another window, as a colleague would be. */
let other: Agent
beforeEach(async () => {
  server = await aServer('demo')
  other = await signedIn(server, 'imani')
})
afterEach(() => server.stop())

const gone = (p: Person) => p.page.waitForFunction(() => !document.querySelector('[role="dialog"]'))

async function heldWork() {
  const { work } = (await other.call(ListWork)).value as {
    work: readonly { id: AssignmentId; state: string }[]
  }
  const params = { assignmentId: work.find((w) => w.state === 'held')?.id as AssignmentId }
  const page = (await other.call(ShowWork, { params })).value
  if (!page) throw new Error('the demo has no work that is held')
  const change = (part: object) =>
    other.call(ChangeWork, {
      params,
      body: { version: page.version, draft: { ...page.draft, ...part } as never, publish: false },
    })
  const now = async () => (await other.call(ShowWork, { params })).value?.draft
  return { params, change, now }
}

describe('two at the same work', () => {
  it('hears both values in words, keeps what only one changed, and decides for what both did', async () => {
    const { params, change, now } = await heldWork()
    const p = await demoPerson(server, 'imani', `/work/${params.assignmentId}`)
    await p.fill('[name="title"]', 'Called by me')
    await p.fill('[name="note"]', 'Mine.')
    await change({ title: 'Called by the other', note: 'Theirs.', isFirst: true })
    await p.click('hold')
    await p.has('[data-hook="both-values"]')
    await p.sees('You in another window changed this work meanwhile')
    await p.sees('What only they changed stays: first things first')
    await p.seesIn('[data-hook="both-values"]', 'Called by me')
    await p.seesIn('[data-hook="both-values"]', 'Called by the other')
    await dialogLooksRight(p)
    // by keyboard: the first is mine, the second theirs
    await p.page.focus('[data-hook="choose-title"] [role="radio"]')
    await p.keys('Space')
    await p.page.focus('[data-hook="choose-note"] [role="radio"]')
    await p.keys('ArrowDown')
    await p.keys('Space')
    await p.page.focus('[data-hook="save-chosen"]')
    await p.keys('Enter')
    await p.sees('Saved, with what changed meanwhile: First things first')
    expect(await now()).toMatchObject({ title: 'Called by me', note: 'Theirs.', isFirst: true })
    p.isQuiet()
  })

  it('saves nothing while one goes on writing, and asks again', async () => {
    const { params, change, now } = await heldWork()
    const p = await demoPerson(server, 'imani', `/work/${params.assignmentId}`)
    await p.fill('[name="note"]', 'Mine.')
    await change({ note: 'Theirs.' })
    await p.click('hold')
    await p.has('[data-hook="both-values"]')
    await p.keys('Escape')
    await gone(p)
    expect(await p.page.$eval('[name="note"]', (field) => (field as HTMLTextAreaElement).value)).toBe('Mine.')
    expect((await now())?.note).toBe('Theirs.')
    await p.click('hold')
    await p.has('[data-hook="both-values"]')
    await p.click('all-mine')
    await gone(p)
    await p.sees('Changes saved')
    expect((await now())?.note).toBe('Mine.')
    p.isQuiet()
  })
})

describe('two at the same lists of a class', () => {
  it('puts their headings together without asking', async () => {
    const rooms = (await other.call(ShowOverview)).value?.classes
    const classId = rooms?.find((c) => c.name === 'Science 8 A')?.id as ClassId
    const p = await demoPerson(server, 'imani', `/classes/filing?class=${classId}`)
    await p.has('[data-hook="keep-filing"]')
    const of = (await other.call(ShowFiling, { params: { classId } })).value
    if (!of) throw new Error('no lists')
    const filing = { ...of.filing, headings: [...of.filing.headings, 'Outings'] }
    await p.press('Heading')
    await p.page.waitForFunction(() => document.activeElement?.tagName === 'INPUT')
    await p.page.keyboard.type('Songs')
    await other.call(KeepFiling, { params: { classId }, body: { version: of.version, filing, renamed: [] } })
    await p.click('keep-filing')
    await p.sees('Saved, with what changed meanwhile: Heading “Outings”')
    const after = (await other.call(ShowFiling, { params: { classId } })).value?.filing.headings
    expect(after).toEqual(expect.arrayContaining(['Outings', 'Songs']))
    p.isQuiet()
  })
})

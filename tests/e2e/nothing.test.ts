import { beforeAll, describe, expect, it } from 'vitest'
import { visit, withBrowser } from '../support/browser'
import { isLargeEnough } from '../support/sizes'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

withBrowser()
let server: Running
beforeAll(async () => {
  server = await aServer('empty')
})

/** Every main view, and what it says while there is nothing in it: what it is for, or what comes first. */
const VIEWS = [
  ['/pace', 'Make the year'],
  ['/pace/week', 'Make the year'],
  ['/pace/series', 'No class yet.'],
  ['/pace/place', 'No class yet.'],
  ['/pace/load', 'No class yet.'],
  ['/pace/fit', 'None of your classes has a plan yet.'],
  ['/shelf', 'The shelf is empty.'],
  ['/classes', 'Make the year'],
  ['/classes/plans', 'From an outline of your own'],
  ['/work', 'No work yet.'],
  ['/evidence', 'No class yet.'],
  ['/evidence/standards', 'No class yet.'],
  ['/evidence/split', 'You have no class yet.'],
  ['/evidence/follow-up', 'You have no class yet.'],
  ['/lens', 'See what one of your learners sees'],
] as const

describe('in a school with nothing in it', () => {
  it('every view says what comes first', async () => {
    const p = await visit(server)
    await p.press('Set up a school')
    await p.fill('[name="school"]', 'Alder Lane School')
    await p.fill('[name="name"]', 'Petra Quist')
    await p.fill('[name="signIn"]', 'petra')
    await p.fill('[name="password"]', 'long enough')
    await p.click('send')
    await p.sees('From an empty workspace to a planned year')
    for (const [path, words] of VIEWS) {
      await p.go(path)
      await p.sees(words)
      expect(await p.text('main'), path).not.toContain('Opening')
      await p.isAccessible()
      await isLargeEnough(p)
    }
    p.isQuiet()
  })
})

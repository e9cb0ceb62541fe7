import { beforeAll, describe, it } from 'vitest'
import { demoPerson, withBrowser } from '../support/browser'
import type { Person } from '../support/browser'
import { PHONE, looksRightEnlarged, looksRightOnPhone } from '../support/looks'
import { aServer } from '../support/server'
import type { Running } from '../support/server'

type View = readonly [path: string, words: string]

/** Every main view of a teacher with words that stand on it once it is there, by the place it belongs to. */
const VIEWS = {
  pace: [
    ['/pace', 'Length here'],
    ['/pace/week', 'Needs you'],
    ['/pace/series', 'Series'],
    ['/pace/place', 'Place pieces on days'],
    ['/pace/fit', 'Meetings there are'],
    ['/pace/charts', 'The whole plan within the year'],
    ['/pace/load', 'Minutes a week in all classes'],
    ['/pace/sheet', 'W1.1 What a vibration is'],
  ],
  shelf: [
    ['/shelf', 'Given last'],
    ['/shelf?piece=piece-wav204', 'Try it as a learner'],
    ['/shelf?by=standards&standard=TH.8.W.7', 'Before and after'],
    ['/shelf-files', 'Out as a file'],
    ['/shelf-own', 'Question 1'],
    ['/shelf-versions?piece=piece-mat502&show=guided', 'What learners get'],
    ['/shelf-versions?piece=piece-mat502&show=compare', 'Only where they differ'],
    ['/shelf-sheets?piece=piece-mat502', 'No sheet says'],
  ],
  classes: [
    ['/classes', 'Science 7 E'],
    ['/classes/year', 'Harvest break'],
    ['/classes/plans', 'From an outline'],
    ['/classes/new', 'Meets on'],
  ],
  work: [
    ['/work', 'To publish'],
    ['/work/new?piece=piece-wav402', 'Last look'],
    ['/evidence', 'Handed in'],
    ['/evidence/standards', 'Share of points'],
    ['/outbox', 'Nothing was mailed yet'],
    ['/lens', 'Lately at work'],
  ],
} as const satisfies Record<string, readonly View[]>

/** Waits until a view is there. */
async function shown(p: Person, words: string): Promise<void> {
  if (words === 'Harvest break') await p.has('[data-hook="note"]')
  else await p.sees(words)
}

/** Looks at every view of one place, each by itself, on a laptop and on a phone. */
export function looksAtViews(place: keyof typeof VIEWS): void {
  withBrowser()
  let server: Running
  beforeAll(async () => {
    server = await aServer('demo')
  })

  describe.each<View>(VIEWS[place])('%s', (path, words) => {
    it('has nothing for axe to find, in the dark neither, shows its focus, and fits at 200 %', async () => {
      const p = await demoPerson(server, 'imani', path)
      await shown(p, words)
      await looksRightEnlarged(p)
      p.isQuiet()
    })

    it('fits a phone, and shows its focus there', async () => {
      const p = await demoPerson(server, 'imani', path, PHONE)
      // on a phone the details are a sheet that is asked for
      if (path === '/pace') await p.click('toggle-details')
      await shown(p, words)
      await looksRightOnPhone(p)
      p.isQuiet()
    })
  })
}

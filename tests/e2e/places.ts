import type { Person } from '../support/browser'

/** Every main view with words that stand on it once it is there. */
export const TEACHER: readonly (readonly [path: string, words: string])[] = [
  ['/pace', 'Length here'],
  ['/pace/week', 'Needs you'],
  ['/pace/series', 'Series'],
  ['/pace/place', 'Place pieces on days'],
  ['/pace/fit', 'Meetings there are'],
  ['/pace/charts', 'The whole plan within the year'],
  ['/pace/load', 'Minutes a week in all classes'],
  ['/pace/sheet', 'W1.1 What a vibration is'],
  ['/shelf?piece=piece-wav204', 'Try it as a learner'],
  ['/shelf?by=standards&standard=TH.8.W.7', 'Before and after'],
  ['/shelf-files', 'Out as a file'],
  ['/shelf-own', 'Question 1'],
  ['/shelf-versions?piece=piece-mat502&show=guided', 'What learners get'],
  ['/shelf-versions?piece=piece-mat502&show=compare', 'Only where they differ'],
  ['/shelf-sheets?piece=piece-mat502', 'No sheet says'],
  ['/classes', 'Science 7 E'],
  ['/classes/year', 'Harvest break'],
  ['/classes/plans', 'From an outline'],
  ['/classes/new', 'Meets on'],
  ['/work', 'To publish'],
  ['/work/new?piece=piece-wav402', 'Last look'],
  ['/evidence', 'Handed in'],
  ['/outbox', 'Nothing was mailed yet'],
  ['/lens', 'See what one of your learners sees'],
]

/** Waits until a view is there. */
export const shown = async (p: Person, words: string): Promise<void> => {
  if (words === 'Harvest break') await p.has('[data-hook="note"]')
  else await p.sees(words)
}

import type { ShelfFormat, Shortfall } from '#core/formats'
import type { LibraryRefusal } from '#core/library'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

export const FORMAT_WORDS: Record<ShelfFormat, string> = {
  case: 'a framework of standards (CASE)',
  qti: 'questions (QTI)',
  'items-csv': 'a table of questions',
  markdown: 'a reading',
  cartridge: 'a textbook (Common Cartridge)',
  epub: 'a textbook (EPUB)',
  outline: 'the outline of a textbook',
}

/** Ways of answering that there are in the format, by its names for them. */
const WAYS: Readonly<Record<string, string>> = {
  choiceinteraction: 'choosing',
  orderinteraction: 'putting in order',
  matchinteraction: 'matching',
  associateinteraction: 'joining in pairs',
  textentryinteraction: 'a word',
  extendedtextinteraction: 'a text',
  inlinechoiceinteraction: 'a word chosen in a text',
  gapmatchinteraction: 'words put into gaps',
  hottextinteraction: 'words picked out of a text',
  sliderinteraction: 'a slider',
  uploadinteraction: 'a file handed in',
  drawinginteraction: 'a drawing',
  mediainteraction: 'a recording to be played',
  hotspotinteraction: 'places in a picture',
  selectpointinteraction: 'points in a picture',
  graphicorderinteraction: 'places of a picture put in order',
  graphicassociateinteraction: 'places of a picture joined',
  graphicgapmatchinteraction: 'pictures put into a picture',
  positionobjectinteraction: 'something placed in a picture',
  endattemptinteraction: 'a button that ends the try',
  portablecustominteraction: 'a program of its own',
  custominteraction: 'a program of its own',
  'place-or-group': 'a place in a picture, or answers that belong together',
  identifier: 'choosing',
  string: 'a word',
  float: 'a number',
}
const sayWay = (name: string) => WAYS[name] ?? (name || 'it asks for nothing')

const SET_LATER = {
  minutes: (n: number) =>
    `It allows ${count(n, 'minute')}: kept as its length; a limit is set when it is assigned.`,
  tries: (n: number) => `It allows ${n === 1 ? 'one try' : `${n} tries`}: set when it is assigned.`,
  questions: (n: number) =>
    `${count(n, 'question')} are drawn for each learner there: set when it is assigned.`,
} as const

function sayOtherwise({ what, there, here, of }: Extract<Shortfall, { code: 'scored-otherwise' }>): string {
  const answer = what === '' ? 'nothing at all' : `“${what}”`
  return `Scored otherwise here: ${answer} earns ${there} of ${count(of, 'point')} there, and ${here} here.`
}

/** Why a part of a file is not, or not wholly, taken over. */
export function sayShortfall(short: Shortfall): string {
  switch (short.code) {
    case 'unknown-kind':
      return `There is no such kind of question here: ${sayWay(short.name)}.`
    case 'no-key':
      return 'It does not say what is right.'
    case 'cannot-be-answered':
      // the number of the question stands in its own column
      return sayRefusal({ code: short.why, item: 0 } as unknown as LibraryRefusal).replace('Question 0: ', '')
    case 'no-text':
      return 'It has no text.'
    case 'not-readable':
      return 'It cannot be read.'
    case 'code-twice':
      return `“${short.name}” is there already.`
    case 'code-too-long':
      return `The code “${short.name}” is longer than 40 characters.`
    case 'unknown-parent':
      return `It belongs under “${short.name}”, which is not there.`
    case 'relation-left-out':
      return `${count(short.count, 'relation')} of this kind say nothing here.`
    case 'picture-left-out':
      return `${count(short.count, 'picture')} left out.`
    case 'could-run':
      return `${count(short.count, 'script or frame', 'scripts or frames')} cut.`
    case 'several-kinds':
      return `Several ways of answering in one question (${sayList(short.names.map(sayWay))}); here each is one.`
    case 'several-right':
      return 'More than one answer earns all of the points there, and only one may be given.'
    case 'contradicts-itself':
      return 'What it says is right earns less than something else by its own rules.'
    case 'too-many-options':
      return `It has ${short.count} choices; here there are ${short.most} at most.`
    case 'name-twice':
      return `Two of its choices have the same name, “${short.name}”: which of them is right cannot be told.`
    case 'rules-not-read':
      return `It is scored by a rule that is not read here (${short.name}); nothing is guessed.`
    case 'scored-otherwise':
      return sayOtherwise(short)
    case 'case-alike':
      return 'Capital and small letters are told apart there, and not here.'
    case 'part-is-enough':
      return 'There it is enough that the answer contains the word; here it has to be the word.'
    case 'points-differ':
      return `At most ${count(short.stated, 'point')} there; its right answer earns ${short.earned}, as it does here.`
    case 'set-when-assigned':
      return SET_LATER[short.what](short.count)
    case 'file-missing':
      return 'It is listed in the file, and is not in it.'
    case 'outside-navigation':
      return 'The table of contents does not lead there.'
    case 'no-https':
      return `“${short.address || 'no address'}” is no address that begins with https://.`
    case 'not-meetings':
      return `“${short.text}” is no number of meetings: whole or half ones, from 0.5 to 40.`
    case 'above-headings':
      return 'It stands above the headings.'
    case 'total':
      return 'It is a sum.'
    case 'for-teachers':
      return 'For teachers: it is kept among your own pieces, where no learner finds it.'
    case 'not-here':
      return `There is no “${short.name}” here.`
  }
}

/** What a column of a table of questions may be. */
export const QUESTION_COLUMN_WORDS = {
  question: 'Question',
  kind: 'Kind',
  answers: 'Answers, with | between',
  a: 'Answer A',
  b: 'Answer B',
  c: 'Answer C',
  d: 'Answer D',
  e: 'Answer E',
  f: 'Answer F',
  right: 'What is right',
  points: 'Points',
  tolerance: 'Tolerance',
  unit: 'Unit',
  feedback: 'Feedback',
  hint: 'Hint',
  standard: 'Standard',
  difficulty: 'Difficulty',
} as const

import { asId, isId } from '../../../base'
import type { ItemId } from '../../../base'
import { faultOf } from '../../../library'
import type { Item } from '../../../library'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import type { Shortfall } from '../types'
import { compareScoring } from './compareScoring'
import { wordsOf } from './keys/options'
import { readKey } from './readKey'
import { readScoring } from './scoring/readScoring'
import type { Scoring } from './scoring/readScoring'
import { markdownOf, nameFrom, without } from './text'

/** What a package says of an item beside it. */
export interface BesideItem {
  readonly standard: string | null
  readonly difficulty: number | null
}

export type QtiItemReading =
  | { readonly item: Item; readonly short: readonly Shortfall[] }
  | { readonly item: null; readonly short: readonly [Shortfall, ...Shortfall[]] }

/** What can be answered in an item; their names as `plainName` folds them. */
const INTERACTION = /interaction$/

/** Reads an assessment item, of QTI 3.0 or 2.x: an item of ours with what it lacks, or why there is none. */
export function readQtiItem(root: Xml, number: number, beside: BesideItem | null): QtiItemReading {
  const body = firstOf(root, 'itembody')
  if (root.name !== 'assessmentitem' || body === null)
    return { item: null, short: [{ code: 'not-readable', problem: 'no item body' }] }
  const asked = interactionsIn(body)
  const scoring = scoringFor(root, asked)
  if ('unread' in scoring) return { item: null, short: [{ code: 'rules-not-read', name: scoring.unread }] }
  const key = readKey(asked, { body, scoring })
  if ('code' in key) return { item: null, short: [key] }
  const stem = [stemOf(body), key.after].filter((text) => text !== '').join('\n\n')
  if (stem === '' && key.of.kind !== 'blanks') return { item: null, short: [{ code: 'no-text' }] }
  const id = nameFrom(root.attributes.identifier ?? '')
  const points = pointsOf(root, scoring, key.best)
  const item = {
    id: asId<ItemId>(isId(id) ? id : `q${number}`),
    stem: (stem || FILL_IN).slice(0, 2000),
    points: points.points,
    standard: beside?.standard ?? null,
    difficulty: beside?.difficulty ?? 3,
    feedback: feedbackOf(root, body).slice(0, 2000),
    hint: rubricOf(body, 'hint').slice(0, 1000),
    ...key.of,
  } as unknown as Item
  const fault = faultOf(item, number)
  if (fault) return { item: null, short: [{ code: 'cannot-be-answered', why: fault.code }] }
  if (key.best !== null && contradicts(scoring, key.best))
    return { item: null, short: [{ code: 'contradicts-itself' }] }
  const compared =
    key.best === null
      ? { short: [] }
      : compareScoring(item, { scoring, best: key.best, samples: key.samples })
  if ('fault' in compared) return { item: null, short: [compared.fault] }
  return { item, short: [...picturesIn(body), ...points.short, ...key.short, ...compared.short] }
}

/** Whether what is declared as right earns less by the rules than something else. */
function contradicts({ declared, scoreOf }: Scoring, best: number): boolean {
  const all = [...declared.values()]
  const right = Object.fromEntries(all.map(({ id, correct }) => [id, (correct ?? []).map(String)]))
  return all.length > 0 && all.every((d) => d.correct !== null) && scoreOf(right) < best - 1e-6
}

/** What a text with blanks asks where nothing else is said. */
const FILL_IN = 'Fill in what is missing.'

/** How it scores; what a person scores has no rules that count. */
function scoringFor(root: Xml, asked: readonly Xml[]) {
  const isByHand = asked.length > 0 && asked.every((a) => a.name === 'extendedtextinteraction')
  return readScoring(isByHand ? without(root, (e) => e.name === 'responseprocessing') : root)
}

function interactionsIn(body: Xml): readonly Xml[] {
  const within = (of: Xml): readonly Xml[] =>
    of.children.filter(isElement).flatMap((c) => (INTERACTION.test(c.name) ? [c] : within(c)))
  return within(body)
}

/** All of the body that is no choice, no line with blanks, and said to learners; prompts where they stand. */
function stemOf(body: Xml): string {
  const isBlank = (of: Xml) => FILLED.has(of.name)
  const holdsBlank = (of: Xml): boolean =>
    isBlank(of) || (!INTERACTION.test(of.name) && of.children.filter(isElement).some(holdsBlank))
  const isLine = (of: Xml) => LINES.has(of.name) && holdsBlank(of)
  const plain = without(
    body,
    (of) =>
      of.name === 'rubricblock' ||
      of.name === 'feedbackblock' ||
      of.name === 'feedbackinline' ||
      isLine(of) ||
      (of.name === 'span' && of.attributes.class === 'unit') ||
      (isBlank(of) && of.name !== 'gapmatchinteraction'),
  )
  return markdownOf({ ...plain, children: plain.children.map(promptOnly) })
}
/** What fills a text; and the elements that are a line of it. */
const FILLED: ReadonlySet<string> = new Set(['textentryinteraction', 'inlinechoiceinteraction', 'gap'])
const LINES: ReadonlySet<string> = new Set(['p', 'li', 'td', 'th', 'h1', 'h2', 'h3', 'h4', 'pre'])

/** Of an interaction its prompt, of anything else all of it. */
function promptOnly(of: Xml | string): Xml | string {
  if (!isElement(of)) return of
  const children = INTERACTION.test(of.name)
    ? of.children.filter((child) => isElement(child) && child.name === 'prompt')
    : of.children.map(promptOnly)
  return { ...of, name: INTERACTION.test(of.name) ? 'div' : of.name, children }
}

/** What the right answer earns; where rules say no more than “right”, the most that is stated, else 1. */
function pointsOf(
  root: Xml,
  { isPlain }: Scoring,
  best: number | null,
): { readonly points: number; readonly short: readonly Shortfall[] } {
  const stated = statedPoints(root)
  if (best === null || isPlain) return { points: stated ?? 1, short: [] }
  const earned = Number(best.toPrecision(6))
  const differ = stated !== null && stated !== earned
  return { points: Math.min(100, earned), short: differ ? [{ code: 'points-differ', stated, earned }] : [] }
}

function statedPoints(root: Xml): number | null {
  const outcomes = allOf(root, 'outcomedeclaration')
  const score = outcomes.find((o) => o.attributes.identifier === 'SCORE')
  const most = outcomes.find((o) => o.attributes.identifier === 'MAXSCORE')
  const stated = Number(score?.attributes.normalmaximum ?? textIn((most && firstOf(most, 'value')) ?? null))
  return stated > 0 && stated <= 100 ? stated : null
}

/** All feedback: what is said to anybody, and under the words of an answer what is said to who gave it. */
function feedbackOf(root: Xml, body: Xml): string {
  const choices = [...allOf(body, 'simplechoice'), ...allOf(body, 'inlinechoice')]
  const wordsFor = (name: string) => {
    const of = choices.find((c) => c.attributes.identifier === name)
    return of ? wordsOf(of) : WRONG.test(name) ? 'Not right' : ''
  }
  const said = ['modalfeedback', 'feedbackblock', 'feedbackinline'].flatMap((name) => allOf(root, name))
  const lines = said
    .filter((of) => of.attributes.showhide !== 'hide')
    .map((of) => ({ about: wordsFor(of.attributes.identifier ?? ''), text: markdownOf(of) }))
    .filter(({ text }) => text !== '')
  const general = lines.filter(({ about }) => about === '').map(({ text }) => text)
  const particular = lines
    .filter(({ about }) => about !== '')
    .map(({ about, text }) => `**${about}:** ${text}`)
  return [...new Set([...general, ...particular])].join('\n\n')
}
const WRONG = /incorrect|not.?correct|wrong|false/i

function rubricOf(body: Xml, use: string): string {
  const block = allOf(body, 'rubricblock').find((b) => b.attributes.use === use)
  return block ? markdownOf(block) : ''
}

function picturesIn(body: Xml): readonly Shortfall[] {
  const count = allOf(body, 'img').length + allOf(body, 'object').length
  return count === 0 ? [] : [{ code: 'picture-left-out', count }]
}

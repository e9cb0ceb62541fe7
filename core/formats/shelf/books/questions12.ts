import { asId } from '../../../base'
import type { ItemId } from '../../../base'
import { faultOf } from '../../../library'
import type { Item, ResourceKind } from '../../../library'
import { toMarkdown } from '../html'
import { LONGEST_TEXT, piecesOfItems } from '../plainPiece'
import { compareScoring } from '../qti/compareScoring'
import { choiceOf } from '../qti/keys/choice'
import { reading } from '../qti/keys/keyReading'
import type { KeyReading } from '../qti/keys/keyReading'
import { namedOptions } from '../qti/keys/options'
import { typedOf } from '../qti/keys/typed'
import type { Scoring } from '../qti/scoring/readScoring'
import { without } from '../qti/text'
import type { ReadPiece, ShelfRow, Shortfall } from '../types'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import { NOT_READ, readScoring12 } from './scoring12'

/** Nothing is said of how long a text shall be. */
const NO_RANGE = { leastWords: 0, mostWords: 0, leastParagraphs: 0 }

/**
 * Reads an assessment or a bank of QTI 1.2.1, alone or in a Common Cartridge: choices of one or several, words,
 * numbers, essays. What becomes of each question is said.
 */
export function readQuestions(
  root: Xml,
  { title, kind, where }: { readonly title: string; readonly kind: ResourceKind; readonly where: string },
): FoundQuestions {
  const items: Item[] = []
  const rows: ShelfRow[] = []
  for (const item of allOf(root, 'item')) {
    const read = readItem(item, items.length + 1)
    const what = stemOf(item).slice(0, 200)
    if ('code' in read) rows.push({ where, what, outcome: 'refused', because: [read] })
    else {
      const outcome = read.short.length === 0 ? 'taken' : 'taken-in-part'
      rows.push({ where, what, outcome, because: read.short, item: read.item })
      items.push(read.item)
    }
  }
  const assessment = firstOf(root, 'assessment')
  const named = title || (assessment?.attributes.title ?? '') || 'Questions'
  const about = assessment ? aboutTest(assessment) : { content: '', minutes: null, short: [] }
  const minutes = about.minutes === null ? {} : { minutes: about.minutes }
  const pieces = piecesOfItems({ title: named, kind, content: about.content, ...minutes }, items)
  return { pieces, rows, short: rows.length === 0 ? [{ code: 'no-text' }] : about.short }
}

export interface FoundQuestions {
  readonly pieces: readonly ReadPiece[]
  /** What becomes of each question. */
  readonly rows: readonly ShelfRow[]
  /** What is said of the test as a whole. */
  readonly short: readonly Shortfall[]
}

/** What stands before the questions of a test, and how it is to be worked. */
function aboutTest(assessment: Xml) {
  const own = without(assessment, (of) => of.name === 'item')
  const said = ['objectives', 'rubric', 'presentation_material']
    .flatMap((name) => allOf(own, name))
    .map(words)
  const limit = Number(field(own, 'qmd_timelimit')) || minutesOf(textIn(firstOf(own, 'duration')))
  const minutes = limit > 0 ? Math.min(300, Math.ceil(limit)) : null
  const tries = Number(field(own, 'cc_maxattempts'))
  const short: Shortfall[] = []
  if (minutes !== null) short.push({ code: 'set-when-assigned', what: 'minutes', count: minutes })
  if (tries > 0) short.push({ code: 'set-when-assigned', what: 'tries', count: tries })
  return {
    content: [...new Set(said)]
      .filter((text) => text !== '')
      .join('\n\n')
      .slice(0, LONGEST_TEXT),
    minutes,
    short,
  }
}

/** Minutes of a duration such as `P0Y0M0DT1H30M0S`. */
function minutesOf(duration: string): number {
  const [, hours = '0', minutes = '0', seconds = '0'] =
    /T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+)S)?/.exec(duration) ?? []
  return Number(hours) * 60 + Number(minutes) + Number(seconds) / 60
}

function readItem(item: Xml, number: number) {
  const scoring = readScoring12(item)
  if ('unread' in scoring) return { code: 'rules-not-read', name: scoring.unread } as const
  const key = keyOf(item, scoring)
  if ('code' in key) return key
  const stem = stemOf(item)
  if (stem === '') return { code: 'no-text' } as const
  const made = {
    id: asId<ItemId>(`q${number}`),
    stem: stem.slice(0, 2000),
    points: pointsOf(item, key.best),
    standard: null,
    difficulty: 3,
    feedback: feedbackOf(item).slice(0, 2000),
    hint: allOf(item, 'hint').map(words).join('\n\n').slice(0, 1000),
    ...key.of,
  } as unknown as Item
  const fault = faultOf(made, number)
  if (fault) return { code: 'cannot-be-answered', why: fault.code } as const
  const { best, samples } = key
  const compared = best === null ? { short: [] } : compareScoring(made, { scoring, best, samples })
  if ('fault' in compared) return compared.fault
  const pictures = picturesIn(item)
  const left: readonly Shortfall[] = pictures > 0 ? [{ code: 'picture-left-out', count: pictures }] : []
  return { item: made, short: [...left, ...key.short, ...compared.short] }
}

function field(item: Xml, label: string): string {
  const found = allOf(item, 'qtimetadatafield').find((f) => textIn(firstOf(f, 'fieldlabel')) === label)
  return found ? textIn(firstOf(found, 'fieldentry')) : ''
}

/** The weight of a question; else what its right answer earns, but for a hundred, which stands for all. */
function pointsOf(item: Xml, best: number | null): number {
  const weight = Number(field(item, 'cc_weighting'))
  if (weight > 0 && weight <= 100) return weight
  return best !== null && best > 0 && best < 100 ? Number(best.toPrecision(6)) : 1
}

function picturesIn(item: Xml): number {
  const inHtml = allOf(item, 'mattext').map((m) => textIn(m).match(/<img\b/gi)?.length ?? 0)
  return allOf(item, 'matimage').length + inHtml.reduce((a, b) => a + b, 0)
}

/** Text of a material: HTML where it says so, else as it stands. */
function words(of: Xml | null): string {
  if (!of) return ''
  return allOf(of, 'mattext')
    .map((m) => {
      const isHtml = m.attributes.texttype === 'text/html'
      const raw = m.children.map((c) => (isElement(c) ? textIn(c) : c)).join('')
      return isHtml ? (toMarkdown(raw)?.text ?? '') : raw.replace(/([\\`*_$[\]])/g, '\\$1').trim()
    })
    .filter((text) => text !== '')
    .join('\n\n')
}

function stemOf(item: Xml): string {
  const presentation = firstOf(item, 'presentation')
  if (!presentation) return ''
  const flow = firstOf(presentation, 'flow') ?? presentation
  const materials = flow.children.filter(isElement).filter((c) => c.name === 'material')
  return words({ name: 'of', attributes: {}, children: materials })
}

/** All feedback: what is said to anybody, and under the words of an answer what is said to who gave it. */
function feedbackOf(item: Xml): string {
  const labels = new Map(allOf(item, 'response_label').map((l) => [l.attributes.ident ?? '', words(l)]))
  const shownFor = new Map(
    allOf(item, 'respcondition').flatMap((c) => {
      const [answer] = allOf(c, 'varequal').map(textIn)
      const option = answer === undefined ? undefined : labels.get(answer)
      const links = allOf(c, 'displayfeedback').map((d) => d.attributes.linkrefid ?? '')
      return option === undefined ? [] : links.map((link) => [link, option] as const)
    }),
  )
  const lines = allOf(item, 'itemfeedback').flatMap((of) => {
    const { ident = '' } = of.attributes
    const text = words(of)
    if (text === '') return []
    if (/incorrect|wrong/i.test(ident)) return [`**Not right:** ${text}`]
    const option = /^(?:general|correct)/i.test(ident) ? undefined : shownFor.get(ident)
    return [option === undefined ? text : `**${option}:** ${text}`]
  })
  return [...new Set(lines)].join('\n\n')
}

function keyOf(item: Xml, scoring: Scoring): KeyReading | Shortfall {
  const [first, ...more] = [...scoring.declared.values()]
  if (!first) return { code: 'unknown-kind', name: field(item, 'cc_profile') }
  if (more.length > 0)
    return { code: 'several-kinds', names: [...new Set([first, ...more].map((d) => d.type))] }
  if (first.type === NOT_READ) return { code: 'unknown-kind', name: NOT_READ }
  if (first.type === 'identifier') return choiceIn(item, first.id, scoring)
  const profile = field(item, 'cc_profile')
  if (scoring.named(first.id).length > 0) return typedOf(first.id, scoring)
  if (!/essay/.test(profile) && profile !== '') return { code: 'no-key' }
  return reading({ kind: 'extended', ...NO_RANGE, guide: words(firstOf(item, 'solution')) }, null, [])
}

function choiceIn(item: Xml, response: string, scoring: Scoring): KeyReading | Shortfall {
  const labels = allOf(item, 'response_label')
  const named = namedOptions(labels.map((l) => ({ name: l.attributes.ident ?? '', text: words(l) })))
  return 'code' in named ? named : choiceOf(response, named, scoring)
}

import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { Item } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { LONGEST_TEXT, piecesOfItems, plainPiece } from '../plainPiece'
import { NO_BOOK } from '../types'
import type { ReadPiece, ShelfReading, ShelfRow } from '../types'
import { firstOf, textIn } from '../xml'
import type { Xml } from '../xml'
import { asWritingTask } from './criteria'
import { readQtiItem } from './readItem'
import type { BesideItem } from './readItem'
import type { TestReading } from './readTest'

/** As many files of questions as are read of one package. */
const MOST_FILES = 1000

export interface Document {
  readonly path: string
  readonly xml: Xml
  readonly weight: number
}
/** What becomes a piece: a test with its questions, or questions that belong to none. */
export interface Group {
  readonly title: string
  readonly test: TestReading | null
  readonly documents: readonly Document[]
}

/** What a package says beside its questions. */
export interface Beside {
  readonly rows: readonly ShelfRow[]
  readonly about: ReadonlyMap<string, BesideItem>
  readonly told: Partial<ReadPiece>
}

/** Makes pieces of groups of questions, and says what becomes of each. */
export function readGroups(groups: readonly Group[], beside: Beside): Result<ShelfReading, FormatRefusal> {
  const count = groups.reduce((sum, g) => sum + g.documents.length, 0)
  if (count === 0 && beside.rows.length === 0 && !groups.some(({ test }) => hasText(test, beside.told)))
    return refuse({ code: 'formats/nothing-known', field: 'file' })
  if (count > MOST_FILES)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count, most: MOST_FILES })
  const pieces: ReadPiece[] = []
  const rows = [...beside.rows]
  for (const group of groups) {
    const read = readItems(group, beside)
    rows.push(...read.rows)
    pieces.push(...piecesOf(group, read.items, beside.told))
    if (group.test && group.test.short.length > 0)
      rows.push({
        where: group.title,
        what: group.title,
        outcome: 'taken-in-part',
        because: group.test.short,
      })
  }
  const language = languageOf(groups)
  return ok({
    format: 'qti',
    title: groups[0]?.title ?? '',
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces: pieces.map((piece) => ({
      ...piece,
      language: beside.told.language ?? language ?? piece.language,
    })),
    rows,
  })
}

/** The pieces of a group: its questions, or its text where it has none. */
function piecesOf(
  { title, test, documents }: Group,
  items: readonly Item[],
  told: Partial<ReadPiece>,
): readonly ReadPiece[] {
  const content = test?.content.slice(0, LONGEST_TEXT) ?? ''
  const minutes = test === null || test.minutes === null ? {} : { minutes: test.minutes }
  const part = { title, kind: 'practice-set', content, ...asWritingTask(items), ...told, ...minutes } as const
  if (items.length > 0) return piecesOfItems(part, items)
  const isText = documents.length === 0 && hasText(test, told)
  return isText ? [plainPiece({ ...part, kind: told.kind ?? 'page' })] : []
}

function hasText(test: TestReading | null, told: Partial<ReadPiece>): boolean {
  return (test !== null && test.content !== '') || told.material !== undefined
}

function readItems({ documents }: Group, { about }: Beside) {
  const taken = new Set<string>()
  const items: Item[] = []
  const rows: ShelfRow[] = []
  for (const { path, xml, weight } of documents) {
    const { item, short } = readQtiItem(xml, items.length + 1, about.get(path) ?? null)
    const what = (item?.stem ?? wordsOf(xml)).slice(0, 200)
    if (item === null || taken.has(item.id)) {
      const because = item === null ? short : [{ code: 'code-twice', name: item.id } as const]
      rows.push({ where: path, what, outcome: 'refused', because })
      continue
    }
    taken.add(item.id)
    const points = Math.min(100, Number((item.points * weight).toPrecision(6)))
    const weighed = weight === 1 ? item : { ...item, points }
    items.push(weighed)
    const outcome = short.length === 0 ? 'taken' : 'taken-in-part'
    rows.push({ where: path, what, outcome, because: short, item: weighed })
  }
  return { items, rows }
}

/** By what a question is known that is not taken: its text, else its title. */
function wordsOf(xml: Xml): string {
  return textIn(firstOf(xml, 'itembody')) || (xml.attributes.title ?? '')
}

/** The language of all questions, where they are of one. */
function languageOf(groups: readonly Group[]): string | null {
  const all = groups
    .flatMap((g) => g.documents)
    .map(({ xml }) => (xml.attributes.lang ?? '').split('-')[0] ?? '')
  const [first = ''] = all
  return /^[a-z]{2,3}$/.test(first) && all.every((l) => l === first) ? first : null
}

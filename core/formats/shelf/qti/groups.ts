import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { Item } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { plainPiece } from '../plainPiece'
import { NO_BOOK } from '../types'
import type { ReadPiece, ShelfReading, ShelfRow } from '../types'
import { firstOf, textIn } from '../xml'
import type { Xml } from '../xml'
import { readQtiItem } from './readItem'
import type { BesideItem } from './readItem'
import type { TestReading } from './readTest'

/** As many questions as a piece has; more of them are several pieces. */
const MOST_ITEMS = 100
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
  const hasText =
    groups.some((g) => g.test !== null && g.test.content !== '') || beside.told.material !== undefined
  if (count === 0 && beside.rows.length === 0 && !hasText)
    return refuse({ code: 'formats/nothing-known', field: 'file' })
  if (count > MOST_FILES)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count, most: MOST_FILES })
  const pieces: ReadPiece[] = []
  const rows = [...beside.rows]
  for (const group of groups) {
    const read = readItems(group, beside)
    rows.push(...read.rows)
    pieces.push(...piecesOf(group, read.items, beside.told, hasText))
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

/** The pieces of a group; several where it has more questions than one holds. */
function piecesOf(
  { title, test }: Group,
  items: readonly Item[],
  told: Partial<ReadPiece>,
  hasText: boolean,
): readonly ReadPiece[] {
  const content = test?.content.slice(0, 40_000) ?? ''
  if (items.length === 0 && !hasText) return []
  const parts = Math.max(1, Math.ceil(items.length / MOST_ITEMS))
  const minutes = test?.minutes === null || test === null ? {} : { minutes: test.minutes }
  return Array.from({ length: parts }, (_, i) =>
    plainPiece({
      title: parts === 1 ? title : `${title.slice(0, 100)}, part ${i + 1}`,
      kind: items.length === 0 ? 'page' : 'practice-set',
      content,
      ...minutes,
      ...told,
      items: items.slice(i * MOST_ITEMS, (i + 1) * MOST_ITEMS),
    }),
  )
}

function readItems({ documents }: Group, { about }: Beside) {
  const taken = new Set<string>()
  const items: Item[] = []
  const rows: ShelfRow[] = []
  for (const { path, xml, weight } of documents) {
    const { item, short } = readQtiItem(xml, items.length + 1, about.get(path) ?? null)
    const what = (item?.stem ?? (textIn(firstOf(xml, 'itembody')) || (xml.attributes.title ?? ''))).slice(
      0,
      200,
    )
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

/** The language of all questions, where they are of one. */
function languageOf(groups: readonly Group[]): string | null {
  const all = groups
    .flatMap((g) => g.documents)
    .map(({ xml }) => (xml.attributes.lang ?? '').split('-')[0] ?? '')
  const [first = ''] = all
  return /^[a-z]{2,3}$/.test(first) && all.every((l) => l === first) ? first : null
}

import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { Item } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { textOf } from '../archive'
import type { Files } from '../archive'
import { MANIFEST, xmlOf } from '../packageXml'
import { plainPiece } from '../plainPiece'
import { NO_BOOK } from '../types'
import type { ReadPiece, ShelfReading, ShelfRow } from '../types'
import { allOf, firstOf, parseXml, textIn } from '../xml'
import type { Xml } from '../xml'
import { ABOUT, readAbout } from './about'
import { DIFFICULTIES } from './printPackage'
import { readQtiItem } from './readItem'
import type { BesideItem } from './readItem'
import { readTest } from './readTest'
import type { TestReading } from './readTest'

/** As many questions as a piece has; more of them are several pieces. */
const MOST_ITEMS = 100
/** As many files of questions as are read of one package. */
const MOST_FILES = 1000

interface Document {
  readonly path: string
  readonly xml: Xml
  readonly weight: number
}
/** What becomes a piece: a test with its questions, or questions that belong to none. */
interface Group {
  readonly title: string
  readonly test: TestReading | null
  readonly documents: readonly Document[]
}

/** Reads a QTI package, 3.0 or 2.x: a piece a test, in its order, and one of the questions that no test names. */
export function readQtiPackage(files: Files, name: string): Result<ShelfReading, FormatRefusal> {
  const manifest = xmlOf(files, MANIFEST).value ?? null
  const documents = new Map<string, Xml>()
  const rows: ShelfRow[] = missingIn(files, manifest)
  for (const path of files.keys()) {
    if (path === MANIFEST || !path.endsWith('.xml')) continue
    const xml = xmlOf(files, path)
    if (xml.ok) documents.set(path, xml.value)
    else rows.push(refused(path, 'not-readable', xml.error.code))
  }
  const tests = [...documents].filter(([, xml]) => xml.name === 'assessmenttest')
  const questions = new Map([...documents].filter(([, xml]) => xml.name === 'assessmentitem'))
  const readings = tests.map(([path, xml]) => readTest(xml, path))
  const named = new Set(readings.flatMap((test) => test.refs.map((ref) => ref.path)))
  rows.push(
    ...[...named].filter((path) => !documents.has(path)).map((path) => refused(path, 'file-missing', path)),
  )
  const others = [...questions].filter(([path]) => !named.has(path)).sort(([a], [b]) => (a < b ? -1 : 1))
  const groups: Group[] = readings.map((test) => ({
    title: test.title || name,
    test,
    documents: test.refs.flatMap(({ path, weight }) => {
      const xml = questions.get(path)
      return xml ? [{ path, xml, weight }] : []
    }),
  }))
  if (others.length > 0)
    groups.push({
      title: name,
      test: null,
      documents: others.map(([path, xml]) => ({ path, xml, weight: 1 })),
    })
  return readGroups(groups, {
    rows,
    about: manifest ? besidesIn(manifest) : new Map(),
    told: toldOf(files, manifest),
  })
}

/** Reads one item that stands alone in its file. */
export function readQtiFile(text: string, name: string): Result<ShelfReading, FormatRefusal> {
  const xml = parseXml(text)
  if (!xml.ok) return xml
  if (xml.value.name !== 'assessmentitem') return refuse({ code: 'formats/nothing-known', field: 'file' })
  const documents = [{ path: name, xml: xml.value, weight: 1 }]
  return readGroups([{ title: name, test: null, documents }], { rows: [], about: new Map(), told: {} })
}

function refused(path: string, code: 'not-readable' | 'file-missing', problem: string): ShelfRow {
  return { where: path, what: '', outcome: 'refused', because: [{ code, problem }] }
}

/** Files that the manifest lists and the package lacks. */
function missingIn(files: Files, manifest: Xml | null): ShelfRow[] {
  if (!manifest) return []
  const listed = allOf(manifest, 'resource')
    .filter((r) => /^imsqti_/i.test(r.attributes.type ?? ''))
    .flatMap((r) => (r.attributes.href === undefined ? [] : [r.attributes.href]))
  return listed
    .filter((path) => path.endsWith('.xml') && !files.has(path))
    .map((path) => refused(path, 'file-missing', path))
}

interface Beside {
  readonly rows: readonly ShelfRow[]
  readonly about: ReadonlyMap<string, BesideItem>
  readonly told: Partial<ReadPiece>
}

function readGroups(groups: readonly Group[], beside: Beside): Result<ShelfReading, FormatRefusal> {
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
    const read = readItems(group, beside, pieces.length)
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

function readItems({ documents }: Group, { about }: Beside, piecesBefore: number) {
  const taken = new Set<string>()
  const items: Item[] = []
  const rows: ShelfRow[] = []
  for (const { path, xml, weight } of documents) {
    const { item, short } = readQtiItem(xml, items.length + 1, about.get(path) ?? null)
    const what = (item?.stem ?? xml.attributes.title ?? '').slice(0, 200)
    if (item === null || taken.has(item.id)) {
      const because = item === null ? short : [{ code: 'code-twice', name: item.id } as const]
      rows.push({ where: path, what, outcome: 'refused', because })
      continue
    }
    taken.add(item.id)
    const at = [piecesBefore + Math.floor(items.length / MOST_ITEMS), items.length % MOST_ITEMS] as const
    items.push(
      weight === 1 ? item : { ...item, points: Math.min(100, Number((item.points * weight).toPrecision(6))) },
    )
    const outcome = short.length === 0 ? 'taken' : 'taken-in-part'
    rows.push({ where: path, what, outcome, because: short, item: at })
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

/** Kind, minutes and standards of a piece, where the package says them; all of it in one of ours. */
function toldOf(files: Files, manifest: Xml | null): Partial<ReadPiece> {
  const bytes = files.get(ABOUT)
  const text = bytes ? textOf(bytes) : null
  if (text?.ok) return readAbout(text.value)
  if (!manifest) return {}
  const type = textIn(firstOf(firstOf(manifest, 'learningresourcetype') ?? manifest, 'value'))
  const minutes = Number(/^PT(\d+)M$/.exec(textIn(firstOf(manifest, 'duration')))?.[1])
  const kind = (['check', 'test', 'practice-set'] as const).find((k) => k === type)
  return { ...(kind ? { kind } : {}), ...(minutes >= 1 && minutes <= 300 ? { minutes } : {}) }
}

function besidesIn(manifest: Xml): ReadonlyMap<string, BesideItem> {
  return new Map(
    allOf(manifest, 'resource').map((resource) => {
      const guid = textIn(firstOf(resource, 'guid')).slice(0, 40)
      const difficulty = firstOf(resource, 'difficulty')
      const word = difficulty ? textIn(firstOf(difficulty, 'value')) : ''
      const at = DIFFICULTIES.findIndex((d) => d === word)
      return [
        resource.attributes.href ?? '',
        { standard: guid === '' ? null : guid, difficulty: at < 0 ? null : at + 1 },
      ] as const
    }),
  )
}

import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { FormatRefusal } from '../../refusals'
import { textOf } from '../archive'
import type { Files } from '../archive'
import { readQuestions } from '../books/questions12'
import { MANIFEST, xmlOf } from '../packageXml'
import { NO_BOOK } from '../types'
import type { ReadPiece, ShelfReading, ShelfRow } from '../types'
import { allOf, firstOf, parseXml, textIn } from '../xml'
import type { Xml } from '../xml'
import { ABOUT, readAbout } from './about'
import { readGroups } from './groups'
import type { Group } from './groups'
import { DIFFICULTIES } from './printPackage'
import type { BesideItem } from './readItem'
import { readTest } from './readTest'

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
  const older = [...documents].filter(([, xml]) => xml.name === OLDER)
  if (older.length > 0) {
    const reading = readOlder(older, name)
    return ok({ ...reading, rows: [...rows, ...reading.rows] })
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
  if (xml.value.name === OLDER) return ok(readOlder([[name, xml.value]], name))
  if (xml.value.name !== 'assessmentitem') return refuse({ code: 'formats/nothing-known', field: 'file' })
  const documents = [{ path: name, xml: xml.value, weight: 1 }]
  return readGroups([{ title: name, test: null, documents }], { rows: [], about: new Map(), told: {} })
}

/** The root of files of QTI 1.2, each with a test or a bank. */
const OLDER = 'questestinterop'

function readOlder(documents: readonly (readonly [path: string, xml: Xml])[], name: string): ShelfReading {
  const read = documents.map(([where, xml]) => {
    const kind = firstOf(xml, 'assessment') ? 'check' : 'practice-set'
    const found = readQuestions(xml, { title: '', kind, where })
    const what = found.pieces[0]?.title ?? name
    const row: ShelfRow = { where, what, outcome: 'taken-in-part', because: found.short }
    return { pieces: found.pieces, rows: [...found.rows, ...(found.short.length > 0 ? [row] : [])] }
  })
  const pieces = read.flatMap((r) => r.pieces)
  const rows = read.flatMap((r) => r.rows)
  return {
    ...NO_BOOK,
    format: 'qti',
    title: pieces[0]?.title ?? name,
    outsideId: null,
    standards: [],
    pieces,
    rows,
  }
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

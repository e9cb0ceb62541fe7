import { inArray } from 'drizzle-orm'
import type { PieceFacts, ResourceKind } from '#core/library'
import type { ResourceId } from '#core/base'
import { resources } from '../schema/library'
import { ask } from './ask'
import { keptBy } from './keptReads'
import type { FactsAtStamp, KeptFacts } from './keptReads'
import { CARD, cardsFor, resourcesById } from './library'
import type { Looker, ResourceCard } from './library'
import type { ResourceRecord } from '../rows/libraryRows'
import type { Connection } from './store'
import { trailsMade } from './versions'

/**
 * Pieces open to a school that have all of these words, each as the beginning of one, in code, title, standards or
 * text; accents do not count. Without words, all pieces. What pieces are is kept, and told from what was changed since
 * by a stamp that every change counts up: the index then says only which of them have the words.
 */
export async function piecesWithWords(
  tx: Connection,
  looker: Looker,
  words: readonly string[],
): Promise<readonly PieceFacts[]> {
  const found = await openPiecesWithWords(tx, looker, words)
  const layered = await trailsMade(tx, looker.schoolId)
  if (layered.size === 0) return found
  return found.map((f) => (layered.has(f.id) ? { ...f, hasVersions: true } : f))
}

async function openPiecesWithWords(
  tx: Connection,
  looker: Looker,
  words: readonly string[],
): Promise<readonly PieceFacts[]> {
  for (let tries = 0; ; tries++) {
    const hits = await hitsOf(tx, words)
    const known = await factsAt(tx, hits.stamp)
    // somebody changed a piece between the two looks
    if (known.stamp !== hits.stamp && tries < MOST_TRIES) continue
    if (hits.fits === null)
      return [...known.byDoc.values()].filter((f) => isOpen(f, looker)).map((f) => seenBy(looker, f, null))
    const found: PieceFacts[] = []
    for (const [doc, fit] of hits.fits) {
      const f = known.byDoc.get(doc)
      if (f && isOpen(f, looker)) found.push(seenBy(looker, f, fit))
    }
    return found
  }
}

const MOST_TRIES = 5
interface Hits {
  readonly stamp: number
  /** Null: no words were asked for. */
  readonly fits: readonly (readonly [doc: number, fit: number | null])[] | null
}
const STAMP = '(select stamp from piece_facts_stamp)'
// what was found comes as one text: there may be thousands
const hitsWith = (fit: string) => `with hits as materialized (
    select rowid as doc, ${fit} as fit from piece_words where piece_words match ?)
  select ${STAMP} as stamp, json_group_array(json_array(doc, fit)) as fits from hits`
// a hit in the title or the code says more than one in the text
const RANKED = hitsWith('bm25(piece_words, 10, 8, 4, 1)')
const UNRANKED = hitsWith('null')
/** What has the whole code comes before all that only begins so: `8.W.1` before `8.W.10`. */
const CODE_FIRST = hitsWith(
  `bm25(piece_words, 10, 8, 4, 1) - 1000 * (rowid in (select rowid from piece_words where piece_words match ?))`,
)

async function hitsOf(tx: Connection, words: readonly string[]): Promise<Hits> {
  if (words.length === 0) {
    const [row] = await ask<{ stamp: number }>(tx, `select ${STAMP} as stamp`, [])
    return { stamp: row?.stamp ?? 0, fits: null }
  }
  const phrases = words.map(asPhrase).join(' ')
  const codes = words.filter(isLikeCode).map((code) => `standards : ${asWhole(code)}`)
  const [question, given] =
    codes.length > 0
      ? [CODE_FIRST, [codes.join(' AND '), phrases]]
      : [isWorthRanking(words) ? RANKED : UNRANKED, [phrases]]
  const [row] = await ask<{ stamp: number; fits: string }>(tx, question, given)
  return { stamp: row?.stamp ?? 0, fits: JSON.parse(row?.fits ?? '[]') as Hits['fits'] }
}

/** A letter or two are in nearly every piece: how well they fit takes long to say, and says nothing. */
function isWorthRanking(words: readonly string[]): boolean {
  return words.some((word) => word.length > 2)
}

const FACTS = `select ${STAMP} as stamp, json_group_array(json_array(doc, resource_id, school_id, owner_id, is_shared,
  kind, role, grade, minutes, language, reading_level, title, position)) as found from piece_facts`
type Found = readonly [
  doc: number,
  id: ResourceId,
  schoolId: KeptFacts['schoolId'],
  ownerId: KeptFacts['ownerId'],
  isShared: number,
  kind: PieceFacts['kind'],
  role: PieceFacts['role'],
  grade: number,
  minutes: number,
  language: string,
  readingLevel: number | null,
  title: string,
  position: number,
]

/** What all pieces are: as it is kept, if it was read at this stamp. */
async function factsAt(tx: Connection, stamp: number): Promise<FactsAtStamp> {
  const kept = keptBy(tx)
  if (kept?.facts?.stamp === stamp) return kept.facts
  const [row] = await ask<{ stamp: number; found: string }>(tx, FACTS, [])
  const found = JSON.parse(row?.found ?? '[]') as readonly Found[]
  const read: FactsAtStamp = {
    stamp: row?.stamp ?? 0,
    byDoc: new Map(found.map((f) => [f[0], toFacts(f)])),
  }
  if (kept) kept.facts = read
  return read
}

function toFacts(found: Found): KeptFacts {
  const [, id, schoolId, ownerId, isShared, kind, role, grade, minutes, language, readingLevel, title, rank] =
    found
  const source = schoolId === null ? 'textbook' : 'school'
  // which school looks is known later
  const seen = {
    id,
    kind,
    role,
    grade,
    minutes,
    source,
    language,
    readingLevel,
    title,
    rank,
    hasVersions: false,
  } as const
  return { schoolId, ownerId, isShared: isShared === 1, seen }
}

function isOpen(f: KeptFacts, { schoolId, userId }: Looker): boolean {
  return f.schoolId === null || (f.schoolId === schoolId && (f.isShared || f.ownerId === userId))
}

/** What is mostly the same for everybody is not made anew for each look: there may be thousands of pieces. */
function seenBy({ userId }: Looker, { seen, ownerId, schoolId }: KeptFacts, fit: number | null): PieceFacts {
  const isOwn = schoolId !== null && ownerId === userId
  if (!isOwn && fit === null) return seen
  return { ...seen, source: isOwn ? 'own' : seen.source, rank: fit ?? seen.rank }
}

/** A word as what may go on: parts of a code, such as '8.W', stand together. */
function asPhrase(word: string): string {
  return `${asWhole(word)}*`
}

function asWhole(word: string): string {
  return `"${word.replaceAll('"', '')}"`
}

/** Such as `8.W.1`: parts with a dot or a dash between them, and a number among them. */
function isLikeCode(word: string): boolean {
  return /[\p{L}\p{N}][.-][\p{L}\p{N}]/u.test(word) && /\d/.test(word)
}

/** Cards of pieces, in the order of their ids. */
export async function cardsById(
  tx: Connection,
  ids: readonly ResourceId[],
): Promise<readonly ResourceCard[]> {
  if (ids.length === 0) return []
  const rows = await tx
    .select(CARD)
    .from(resources)
    .where(inArray(resources.id, [...ids]))
  const byId = new Map(rows.map((r) => [r.id, r]))
  return ids.flatMap((id) => byId.get(id) ?? [])
}

/** Pieces open to somebody that serve any of these standards, with their items. */
export async function piecesServing(
  tx: Connection,
  { schoolId, userId }: Looker,
  codes: readonly string[],
): Promise<readonly ResourceRecord[]> {
  if (codes.length === 0) return []
  const phrases = codes.map((code) => `standards : "${code.replaceAll('"', '')}"`).join(' OR ')
  const found = await ask<{ id: ResourceId }>(tx, SERVING, [phrases, schoolId, userId])
  const known = await resourcesById(
    tx,
    found.map((f) => f.id),
  )
  // the words of one code may stand in another: `8.W.1` in `8.W.1.2`
  return found
    .flatMap(({ id }) => known.get(id) ?? [])
    .filter(({ resource }) => resource.standards.some((code) => codes.includes(code)))
}

const OPEN = '(f.school_id is null or f.school_id = ? and (f.is_shared or f.owner_id = ?))'
const SERVING = `select f.resource_id as id from piece_words w join piece_facts f on f.doc = w.rowid
  where piece_words match ? and ${OPEN} order by f.position, f.doc`

/** In which grades pieces open to somebody serve each standard, by its code. */
export async function gradesServed(
  tx: Connection,
  { schoolId, userId }: Looker,
): Promise<ReadonlyMap<string, readonly number[]>> {
  const rows = await ask<{ code: string; grades: string }>(tx, GRADES_SERVED, [schoolId, userId])
  return new Map(rows.map((r) => [r.code, (JSON.parse(r.grades) as number[]).sort((a, b) => a - b)]))
}
const GRADES_SERVED = `select s.value as code, json_group_array(distinct f.grade) as grades from piece_facts f
    join resources r on r.id = f.resource_id, json_each(r.body, '$.standards') s
  where ${OPEN} group by s.value`

/** Which standards the pieces of textbook lessons serve, of those open to somebody, piece by piece. */
export async function standardsOfLessons(
  tx: Connection,
  { schoolId, userId }: Looker,
  bookLessonIds: readonly string[],
): Promise<readonly { readonly bookLessonId: string; readonly kind: ResourceKind; readonly code: string }[]> {
  return ask(tx, LESSON_STANDARDS, [JSON.stringify([...new Set(bookLessonIds)]), schoolId, userId])
}
const LESSON_STANDARDS = `select r.book_lesson_id as bookLessonId, r.kind, s.value as code
  from piece_facts f join resources r on r.id = f.resource_id, json_each(r.body, '$.standards') s
  where r.book_lesson_id in (select value from json_each(?)) and ${OPEN} order by f.position, f.doc, s.key`

/** Cards of pieces open to somebody by their short codes. */
export async function cardsByCode(
  tx: Connection,
  looker: Looker,
  codes: readonly string[],
): Promise<readonly ResourceCard[]> {
  if (codes.length === 0) return []
  const asked = new Set(codes.map((code) => code.toLowerCase()))
  return (await cardsFor(tx, looker)).filter((card) => asked.has(card.code.toLowerCase()))
}

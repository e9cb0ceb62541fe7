import { inArray } from 'drizzle-orm'
import type { PieceFacts } from '#core/library'
import type { ResourceId } from '#core/base'
import { resources } from '../schema/library'
import { ask } from './ask'
import { CARD, cardsFor, resourcesById } from './library'
import type { Looker, ResourceCard } from './library'
import type { ResourceRecord } from '../rows/libraryRows'
import type { Connection } from './store'

/**
 * Pieces open to a school that have all of these words, each as the beginning of one, in code, title, standards or
 * text; accents do not count. Without words, all pieces. What was found comes as one text: there may be thousands.
 */
export async function piecesWithWords(
  tx: Connection,
  { schoolId, userId }: Looker,
  words: readonly string[],
): Promise<readonly PieceFacts[]> {
  const phrases = words.map(asPhrase).join(' ')
  const [row] =
    words.length === 0
      ? await ask<Answer>(tx, ALL_PIECES, [userId, schoolId, userId])
      : await ask<Answer>(tx, isWorthRanking(words) ? RANKED : UNRANKED, [phrases, userId, schoolId, userId])
  return (JSON.parse(row?.found ?? '[]') as readonly Found[]).map(toFacts)
}

interface Answer {
  readonly found: string
}
type Found = readonly [
  id: ResourceId,
  kind: PieceFacts['kind'],
  role: PieceFacts['role'],
  grade: number,
  minutes: number,
  source: PieceFacts['source'],
  language: string,
  readingLevel: number | null,
  title: string,
  rank: number,
]
// of a table of its own: pieces with their texts are a hundred times as much to go through
const SOURCE =
  "case when f.school_id is null then 'textbook' when f.owner_id = ? then 'own' else 'school' end"
const FACTS = `f.resource_id, f.kind, f.role, f.grade, f.minutes, ${SOURCE}, f.language, f.reading_level, f.title`
const OPEN = '(f.school_id is null or f.school_id = ? and (f.is_shared or f.owner_id = ?))'
const ALL_PIECES = `select json_group_array(json_array(${FACTS}, f.position)) as found from piece_facts f
  where ${OPEN}`
// a hit in the title or the code says more than one in the text
const RANKED = piecesWith('bm25(piece_words, 10, 8, 4, 1)')
const UNRANKED = piecesWith('null')

/** A letter or two are in nearly every piece: how well they fit takes long to say, and says nothing. */
function isWorthRanking(words: readonly string[]): boolean {
  return words.some((word) => word.length > 2)
}

function piecesWith(fit: string): string {
  return `with hits as materialized (
    select rowid as doc, ${fit} as fit from piece_words where piece_words match ?)
  select json_group_array(json_array(${FACTS}, coalesce(h.fit, f.position))) as found
  from hits h join piece_facts f on f.doc = h.doc where ${OPEN}`
}

function toFacts([
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
]: Found): PieceFacts {
  return { id, kind, role, grade, minutes, source, language, readingLevel, title, rank }
}

/** A word as what may go on: parts of a code, such as '8.W', stand together. */
function asPhrase(word: string): string {
  return `"${word.replaceAll('"', '')}"*`
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

const SERVING = `select f.resource_id as id from piece_words w join piece_facts f on f.doc = w.rowid
  where piece_words match ? and ${OPEN} order by f.position, f.doc`

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

import { inArray } from 'drizzle-orm'
import type { PieceFacts } from '#core/library'
import type { ResourceId, SchoolId } from '#core/base'
import { resources } from '../schema/library'
import { ask } from './ask'
import { CARD } from './library'
import type { ResourceCard } from './library'
import type { Connection } from './store'

/**
 * Pieces open to a school that have all of these words, each as the beginning of one, in code, title, standards or
 * text; accents do not count. Without words, all pieces. What was found comes as one text: there may be thousands.
 */
export async function piecesWithWords(
  tx: Connection,
  schoolId: SchoolId,
  words: readonly string[],
): Promise<readonly PieceFacts[]> {
  const phrases = words.map(asPhrase).join(' ')
  const [row] =
    words.length === 0
      ? await ask<Answer>(tx, ALL_PIECES, [schoolId])
      : await ask<Answer>(tx, isWorthRanking(words) ? RANKED : UNRANKED, [phrases, schoolId])
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
  isOwn: 0 | 1,
  title: string,
  rank: number,
]
// of a table of its own: pieces with their texts are a hundred times as much to go through
const FACTS = 'f.resource_id, f.kind, f.role, f.grade, f.minutes, f.school_id is not null, f.title'
const OPEN = '(f.school_id is null or f.school_id = ?)'
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

function toFacts([id, kind, role, grade, minutes, isOwn, title, rank]: Found): PieceFacts {
  return { id, kind, role, grade, minutes, source: isOwn ? 'own' : 'textbook', title, rank }
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

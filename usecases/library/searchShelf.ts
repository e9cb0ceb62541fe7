import { groupBy, ok } from '#core/base'
import type { ClassId, ResourceId } from '#core/base'
import type { Teacher } from '#core/access'
import { facetCounts, narrowed, wordsOf } from '#core/library'
import type { SearchOrder, ShelfFilter } from '#core/library'
import { cardsById, givenBefore, piecesWithWords } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'
import { asCard } from './shelf'

/** As many are shown of what was found; who needs more narrows it. */
const MOST_SHOWN = 60

/** Pieces open to the asker whose words fit, with counts to narrow them by, and which of their classes had each. */
export async function searchShelf(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  asked: { readonly text: string; readonly filter: ShelfFilter; readonly order: SearchOrder },
) {
  const tx = deps.store.read
  const found = await piecesWithWords(tx, actor, wordsOf(asked.text))
  const left = narrowed(found, asked.filter, asked.order)
  const ids = left.slice(0, MOST_SHOWN).map((p) => p.id)
  const had = await hadBy(tx, actor, ids)
  const shown = await cardsById(tx, ids)
  // who types a whole short code means that piece, not those whose codes begin with it
  const code = asked.text.trim().toLowerCase()
  const isMeant = (card: { readonly code: string }) => Number(asked.order === 'fit' && card.code === code)
  const cards = shown.toSorted((a, b) => isMeant(b) - isMeant(a))
  return ok({
    total: left.length,
    facets: facetCounts(found, asked.filter),
    pieces: cards.map((card) => ({ piece: asCard(card, actor), hadBy: had.get(card.id) ?? [] })),
  })
}

/** Names of the asker's classes that were given pieces, by piece. */
async function hadBy(
  tx: Connection,
  actor: Teacher,
  ids: readonly ResourceId[],
): Promise<ReadonlyMap<ResourceId, readonly string[]>> {
  const classes = await classesInView(tx, actor)
  const nameOf = new Map<ClassId, string>(classes.map((c) => [c.id, c.shortName]))
  const given = await givenBefore(tx, ids, [...nameOf.keys()], null)
  return new Map(
    [...groupBy(given, (g) => g.resourceId)].map(([id, list]) => [
      id,
      [...new Set(list.flatMap((g) => nameOf.get(g.classId) ?? []))].sort(),
    ]),
  )
}

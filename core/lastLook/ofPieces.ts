import { askedFor, shortOf } from '../attempts'
import { rulesOf } from '../work'
import type { Caution } from './caution'
import type { LastLookFacts } from './facts'

/** From so many pieces on a teacher may not have meant to hand out each on its own. */
export const MANY_PIECES = 8

/** What may be wrong with the pieces themselves, whoever gets them. */
export function ofPieces({ draft, pieces }: LastLookFacts): readonly Caution[] {
  const short = draft.pieces.flatMap((piece): readonly Caution[] => {
    const { items: choice } = rulesOf(draft, piece)
    const items = pieces.get(piece.id)?.items ?? []
    if (choice.kind === 'all' || items.length === 0) return []
    const asked = choice.kind === 'drawn' ? askedFor(choice.shares) : choice.most
    const has =
      choice.kind === 'drawn' ? asked - shortOf(items, choice.shares) : Math.min(asked, items.length)
    return has < asked ? [{ code: 'drawn-short', pieceId: piece.id, asked, has }] : []
  })
  const minutes = [...pieces.values()].reduce((sum, p) => sum + p.minutes, 0)
  const count = draft.pieces.length
  return count < MANY_PIECES ? short : [...short, { code: 'many-pieces', pieces: count, minutes }]
}

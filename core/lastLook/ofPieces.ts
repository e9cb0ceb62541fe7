import { askedFor, asksAgain, shortOf } from '../attempts'
import type { Reveal } from '../attempts'
import { rulesOf } from '../work'
import type { WorkPiece } from '../work'
import type { Caution } from './caution'
import type { LastLookFacts } from './facts'

/** From so many pieces on a teacher may not have meant to hand out each on its own. */
export const MANY_PIECES = 8

/** What may be wrong with the pieces themselves, whoever gets them. */
export function ofPieces(facts: LastLookFacts): readonly Caution[] {
  const { draft, pieces } = facts
  const found = draft.pieces.flatMap((p) => [
    ...neverShown(p, facts),
    ...givesAway(p, facts),
    ...shortTime(p, facts),
  ])
  const short = draft.pieces.flatMap((piece): readonly Caution[] => {
    const { items: choice } = rulesOf(draft, piece)
    const items = pieces.get(piece.id)?.items ?? []
    if (choice.kind === 'all' || items.length === 0) return []
    const asked = choice.kind === 'drawn' ? askedFor(choice.shares) : choice.most
    const has =
      choice.kind === 'drawn' ? asked - shortOf(items, choice.shares) : Math.min(asked, items.length)
    return has < asked ? [{ code: 'drawn-short', pieceId: piece.id, asked, has }] : []
  })
  const mine = mostForOne(draft.pieces)
  const minutes = mine.reduce((sum, p) => sum + (pieces.get(p.id)?.minutes ?? 0), 0)
  const count = mine.length
  const ofEach = [...short, ...found]
  return count < MANY_PIECES ? ofEach : [...ofEach, { code: 'many-pieces', pieces: count, minutes }]
}

/** The pieces of a learner who has most of them. */
function mostForOne(pieces: readonly WorkPiece[]): readonly WorkPiece[] {
  const named = new Set(pieces.flatMap((p) => p.onlyIds ?? []))
  const own = [...named].map((id) => pieces.filter((p) => p.onlyIds?.includes(id) ?? true))
  const forAll = pieces.filter((p) => !p.onlyIds)
  return own.reduce((most, of) => (of.length > most.length ? of : most), forAll)
}

const AFTER_CLOSE: readonly Reveal[] = ['close', 'own-close']

/** Scores or answers that would be shown after it has closed, where it never does. */
function neverShown(piece: WorkPiece, { draft, pieces, classes }: LastLookFacts): readonly Caution[] {
  if ((pieces.get(piece.id)?.items.length ?? 0) === 0) return []
  const windows = classes.map((c) => c.pieces.find((p) => p.pieceId === piece.id)?.window ?? c.window)
  if (!windows.some((w) => w !== null && w.closes === null)) return []
  const { feedback, answers } = rulesOf(draft, piece)
  const [scores, solutions] = [feedback, answers].map((when) => AFTER_CLOSE.includes(when))
  if (!scores && !solutions) return []
  const what = scores && solutions ? 'both' : scores ? 'scores' : 'answers'
  return [{ code: 'never-shown', pieceId: piece.id, what }]
}

/** Right answers that come before a further try with the same questions. */
function givesAway(piece: WorkPiece, { draft, pieces }: LastLookFacts): readonly Caution[] {
  const rules = rulesOf(draft, piece)
  const asked = pieces.get(piece.id)?.items ?? []
  const isShown = rules.answers === 'item' || rules.answers === 'submission'
  if (!isShown || !asksAgain(rules) || asked.length === 0) return []
  const items = rules.items.kind === 'drawn' ? askedFor(rules.items.shares) : asked.length
  return [{ code: 'gives-away', pieceId: piece.id, items: Math.min(items, asked.length) }]
}

/** A limit below the minutes that the whole piece says it takes. */
function shortTime(piece: WorkPiece, { draft, pieces }: LastLookFacts): readonly Caution[] {
  const { timeLimitMinutes: limit, items } = rulesOf(draft, piece)
  const of = pieces.get(piece.id)
  if (!of || limit === null || items.kind !== 'all' || of.items.length === 0 || limit >= of.minutes) return []
  return [{ code: 'short-time', pieceId: piece.id, limit, minutes: of.minutes }]
}

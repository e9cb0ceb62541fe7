import type { ClassId, ResourceId } from '#core/base'
import { same } from '#core/base'
import { READY_RULES, readyRulesFor } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import { cardOfKind, hasRules } from '#core/library'
import type { ResourceKind } from '#core/library'
import { presetFor, rulesSuiting } from '#core/work'
import type { Preset } from '#core/work'
import { differing, pieceOf } from './draft'
import type { DraftInWork } from './draft'

/** A piece from the shelf, as far as work begins with it. */
export interface StartingCard {
  readonly id: ResourceId
  readonly title: string
  readonly kind: ResourceKind
  readonly revision: number
  readonly bookLessonId: string | null
  readonly itemCount: number
}

/** The teacher's own rules for this class and kind, else the ready ones for the kind. */
export function rulesFor(
  kind: ResourceKind,
  classId: ClassId | null,
  presets: readonly Preset[],
): AttemptRules {
  const own = presetFor(presets, { classId, kind })
  const rules = own?.rules ?? READY_RULES[readyRulesFor(kind)]
  return rulesSuiting(rules, kind)
}

/** What the rules are for: a check, a test or a text rather than what is read before it. */
export function mainOf<C extends StartingCard>(cards: readonly C[]): C | null {
  const ruled = cards.filter(hasRules)
  return ruled.find((c) => cardOfKind(c.kind).hasCountedTries) ?? ruled[0] ?? cards[0] ?? null
}

/** For which class rules are chosen, and among which of the teacher's own. */
export interface Ruling {
  readonly classId: ClassId | null
  readonly presets: readonly Preset[]
}

/** What the ready rules of a piece's kind have that the work's have not; nothing of what is only read. */
export function ownRulesOf(
  card: StartingCard,
  rules: AttemptRules,
  { classId, presets }: Ruling,
): Partial<AttemptRules> {
  return hasRules(card) ? differing(rules, rulesFor(card.kind, classId, presets)) : {}
}

/** Whether a work's rules are the ready ones of one of its pieces, and nobody has chosen others. */
function areReady(draft: DraftInWork, cards: readonly StartingCard[], { classId, presets }: Ruling): boolean {
  const ruled = cards.filter(hasRules)
  return ruled.length === 0 || ruled.some((c) => same(draft.rules, rulesFor(c.kind, classId, presets)))
}

/**
 * A draft with one more piece, which brings the rules of its kind along: as those of the work while nothing in it has
 * any, else as its own. Where the teacher has chosen rules that are nobody's ready ones, they hold for it, too.
 */
export function withCard(
  draft: DraftInWork,
  card: StartingCard,
  of: { readonly before: readonly StartingCard[]; readonly presets: readonly Preset[] },
): DraftInWork {
  const ruling = { classId: firstClassOf(draft), presets: of.presets }
  const piece = pieceOf(card, draft.pieces)
  const withRules = (rules: AttemptRules, own: Partial<AttemptRules>) => ({
    ...draft,
    rules,
    pieces: [...draft.pieces, { ...piece, rules: own }],
  })
  if (!hasRules(card) || !areReady(draft, of.before, ruling)) return withRules(draft.rules, {})
  if (!of.before.some(hasRules)) return withRules(rulesFor(card.kind, ruling.classId, ruling.presets), {})
  return withRules(draft.rules, ownRulesOf(card, draft.rules, ruling))
}

/** The first class that has it; null: it goes to none as a whole. */
export function firstClassOf({ targets }: Pick<DraftInWork, 'targets'>): ClassId | null {
  const first = targets.map((t) => t.target).find((t) => t.kind === 'class')
  return first?.kind === 'class' ? first.classId : null
}

/** A draft that has got its first class: ready rules become the teacher's own for that class, chosen ones stay. */
export function ruledForClass(
  draft: DraftInWork,
  cards: readonly StartingCard[],
  of: { readonly before: ClassId | null; readonly presets: readonly Preset[] },
): DraftInWork {
  const { presets } = of
  const was = { classId: of.before, presets }
  const is = { classId: firstClassOf(draft), presets }
  const main = mainOf(cards)
  if (main === null || !same(draft.rules, rulesFor(main.kind, was.classId, presets))) return draft
  const rules = rulesFor(main.kind, is.classId, presets)
  const cardOf = new Map(cards.map((c) => [c.id, c]))
  const pieces = draft.pieces.map((piece) => {
    const card = cardOf.get(piece.resourceId)
    const isReady = card && same(piece.rules, ownRulesOf(card, draft.rules, was))
    return isReady ? { ...piece, rules: ownRulesOf(card, rules, is) } : piece
  })
  return { ...draft, rules, pieces }
}

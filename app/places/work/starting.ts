import { same } from '#core/base'
import type { ClassId, LessonId, ResourceId, UserId } from '#core/base'
import { READY_RULES, readyRulesFor } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import { NO_WINDOW } from '#core/availability'
import type { Anchor, Moment, WindowSpec } from '#core/availability'
import { cardOfKind, hasRules } from '#core/library'
import type { ResourceKind } from '#core/library'
import type { Plan } from '#core/pacing'
import { NO_ABOUT, presetFor, rulesSuiting } from '#core/work'
import type { AssignmentTarget, Draft, Preset, WorkPiece } from '#core/work'
import type { DeskClass } from '#shared/contracts/pacing'
import { differing, pieceOf } from './draft'
import type { DraftInWork } from './draft'

/** What work is called while nothing is chosen to do. */
export const UNNAMED = 'Work'

/** A piece from the shelf, as far as work begins with it. */
export interface StartingCard {
  readonly id: ResourceId
  readonly title: string
  readonly kind: ResourceKind
  readonly revision: number
  readonly bookLessonId: string | null
  readonly itemCount: number
}

/** With what a teacher comes to the composer: pieces, and perhaps a lesson, a class, or learners. */
export interface Start {
  readonly cards: readonly StartingCard[]
  readonly lesson: LessonId | null
  readonly classId: ClassId | null
  readonly learnerIds: readonly UserId[]
}

/** What is known of the teacher's classes, their plans and presets. */
export interface Known {
  /** Their own classes. */
  readonly classes: readonly Pick<DeskClass, 'id' | 'planId'>[]
  readonly planOf: (id: DeskClass['planId']) => Pick<Plan, 'lessons'> | null | undefined
  /** Whether a lesson is over in a class. */
  readonly isOver: (lesson: LessonId, classId: ClassId) => boolean
  readonly presets: readonly Preset[]
}

/**
 * The draft with which work begins: for the class it was begun from, or the only one it can be for, or the learners who
 * were chosen; nobody else is chosen without being asked. It hangs on the lesson it was begun from, or on the piece's
 * own while that is to come; else it is open when published, without a due date, as it is for single learners.
 */
export function startingDraft(start: Start, known: Known): DraftInWork {
  const { cards, learnerIds } = start
  const main = mainOf(cards)
  const first = classFor(start, main, known)
  const lesson = lessonFor(start, main, known, first)
  const rules = rulesFor(main?.kind ?? 'check', first?.id ?? null, known.presets)
  const only = start.classId === null ? onlyClass(first, known) : first
  const targets: readonly AssignmentTarget[] =
    learnerIds.length > 0
      ? learnerIds.map((learnerId) => ({ target: { kind: 'learner' as const, learnerId }, overrides: {} }))
      : only
        ? [{ target: { kind: 'class' as const, classId: only.id }, overrides: {} }]
        : []
  const pieces = cards.reduce<readonly WorkPiece[]>(
    (list, card) => [
      ...list,
      ruledPiece(card, list, { rules, classId: first?.id ?? null, presets: known.presets }),
    ],
    [],
  )
  return {
    pieces,
    title: (cards.length > 1 ? lesson?.title : main?.title) ?? main?.title ?? UNNAMED,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window: hungOn(lesson?.id ?? null),
    rules,
    targets,
    exceptIds: [],
    overCeiling: [],
    newcomers: true,
    teams: [],
  }
}

/** What the rules are for: a check, a test or a text rather than what is read before it. */
function mainOf<C extends StartingCard>(cards: readonly C[]): C | null {
  return cards.find((c) => cardOfKind(c.kind).hasCountedTries) ?? cards.find(hasRules) ?? cards[0] ?? null
}

/** A piece with the rules of its own kind, where these are others than the work has. */
function ruledPiece(
  card: StartingCard,
  others: readonly WorkPiece[],
  { rules, classId, presets }: Ruling,
): WorkPiece {
  const piece = pieceOf(card, others)
  return hasRules(card) ? { ...piece, rules: differing(rules, rulesFor(card.kind, classId, presets)) } : piece
}

interface Ruling {
  readonly rules: AttemptRules
  readonly classId: ClassId | null
  readonly presets: readonly Preset[]
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
  const { presets } = of
  const first = draft.targets.find((t) => t.target.kind === 'class')?.target
  const classId = first?.kind === 'class' ? first.classId : null
  const main = mainOf(of.before.filter(hasRules))
  const usual = rulesFor(main?.kind ?? 'check', classId, presets)
  const isChosen = !same(draft.rules, usual)
  const plain = pieceOf(card, draft.pieces)
  if (!hasRules(card) || isChosen) return { ...draft, pieces: [...draft.pieces, plain] }
  if (main === null)
    return { ...draft, rules: rulesFor(card.kind, classId, presets), pieces: [...draft.pieces, plain] }
  const piece = ruledPiece(card, draft.pieces, { rules: draft.rules, classId, presets })
  return { ...draft, pieces: [...draft.pieces, piece] }
}

/** Moments with which work is open as soon as it is published, for good. */
export const AT_ONCE: WindowSpec = NO_WINDOW

/** The class that work can only be for: the one that shares the plan, or the teacher's only one. */
function onlyClass(first: Known['classes'][number] | undefined, { classes }: Known) {
  const sharing = classes.filter((c) => c.planId !== null && c.planId === first?.planId)
  if (first !== undefined && sharing.length < 2) return first
  return classes.length === 1 ? classes[0] : undefined
}

function classFor({ classId }: Start, main: StartingCard | null, { classes, planOf }: Known) {
  const named = classes.find((c) => c.id === classId)
  if (named || main === null || main.bookLessonId === null) return named
  return classes.find((c) => planOf(c.planId)?.lessons.some((l) => l.bookLessonId === main.bookLessonId))
}

function lessonFor(
  { lesson, learnerIds }: Start,
  main: StartingCard | null,
  { planOf, isOver }: Known,
  first: Known['classes'][number] | undefined,
) {
  const lessons = planOf(first?.planId ?? null)?.lessons ?? []
  const named = lessons.find((l) => l.id === lesson)
  if (named || learnerIds.length > 0 || first === undefined) return named ?? null
  const ofBook = main?.bookLessonId ?? null
  const own = ofBook === null ? undefined : lessons.find((l) => l.bookLessonId === ofBook)
  return own && !isOver(own.id, first.id) ? own : null
}

/** Open at a lesson's first meeting, due at the end of the one after its last; without a lesson open at once. */
export function hungOn(lessonId: LessonId | null): WindowSpec {
  if (lessonId === null) return AT_ONCE
  const anchor = (part: Pick<Anchor, 'edge' | 'offset' | 'at'>): Anchor => ({
    kind: 'anchor',
    lessonId,
    step: 'meetings',
    ...part,
  })
  return {
    ...AT_ONCE,
    opens: anchor({ edge: 'first', offset: 0, at: 'class-start' }),
    due: anchor({ edge: 'last', offset: 1, at: 'class-end' }),
  }
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

/**
 * Work as it is given to another class: its pieces, rules and moments, for all of that class. What hangs on a lesson
 * hangs on the same lesson there; where the class's plan has none such, `lost` names the field, and it has no moment.
 */
export function copyFor(
  draft: Draft,
  classId: ClassId,
  of: { readonly from: readonly Pick<Plan, 'lessons'>[]; readonly to: Pick<Plan, 'lessons'> | null },
): { readonly draft: DraftInWork; readonly lost: boolean } {
  let lost = false
  const lessons = of.from.flatMap((p) => p.lessons)
  const there = of.to?.lessons ?? []
  const moved = (moment: Moment | null): Moment | null => {
    if (moment?.kind !== 'anchor') return moment
    const book = lessons.find((l) => l.id === moment.lessonId)?.bookLessonId ?? null
    const same =
      there.find((l) => l.id === moment.lessonId) ??
      (book === null ? undefined : there.find((l) => l.bookLessonId === book))
    if (same) return { ...moment, lessonId: same.id }
    lost = true
    return null
  }
  const window: WindowSpec = {
    ...draft.window,
    ...Object.fromEntries(Object.entries(draft.window).map(([field, moment]) => [field, moved(moment)])),
  }
  const pieces = draft.pieces.map((p) => ({
    ...p,
    window: Object.fromEntries(
      Object.entries(p.window).flatMap(([field, moment]) => {
        const next = moved(moment)
        return moment !== null && next === null ? [] : [[field, next]]
      }),
    ),
  }))
  const targets = [{ target: { kind: 'class' as const, classId }, overrides: {} }]
  return { draft: { ...draft, window, pieces, targets, exceptIds: [], teams: [] }, lost }
}

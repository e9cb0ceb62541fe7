import type { ClassId, LessonId, ResourceId, UserId } from '#core/base'
import { READY_RULES, readyRulesFor } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import type { Anchor, Moment, WindowSpec } from '#core/availability'
import { cardOfKind, hasRules } from '#core/library'
import type { ResourceKind } from '#core/library'
import type { Plan } from '#core/pacing'
import { NO_ABOUT, presetFor, rulesSuiting } from '#core/work'
import type { AssignmentTarget, Draft, Preset, WorkPiece } from '#core/work'
import type { DeskClass } from '#shared/contracts/pacing'
import { pieceOf } from './draft'
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
  readonly presets: readonly Preset[]
}

/**
 * The draft with which work begins: hung on the lesson's meetings where it stands in a plan, else open when published;
 * for all own classes that share the plan, or for the learners who were chosen.
 */
export function startingDraft(start: Start, known: Known): DraftInWork {
  const { cards, learnerIds } = start
  // what the rules are for: a check, a test or a text rather than what is read before it
  const main =
    cards.find((c) => cardOfKind(c.kind).hasCountedTries) ?? cards.find(hasRules) ?? cards[0] ?? null
  const first = classFor(start, main, known)
  const lesson = lessonFor(start, main, known, first)
  const sharing = known.classes.filter((c) => c.planId !== null && c.planId === first?.planId)
  const classes = sharing.length > 0 || first === undefined ? sharing : [first]
  const targets: readonly AssignmentTarget[] =
    learnerIds.length > 0
      ? learnerIds.map((learnerId) => ({ target: { kind: 'learner' as const, learnerId }, overrides: {} }))
      : classes.map((c) => ({ target: { kind: 'class' as const, classId: c.id }, overrides: {} }))
  return {
    pieces: cards.reduce<readonly WorkPiece[]>((list, card) => [...list, pieceOf(card, list)], []),
    title: (cards.length > 1 ? lesson?.title : main?.title) ?? main?.title ?? UNNAMED,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window: hungOn(lesson?.id ?? null),
    rules: rulesFor(main?.kind ?? 'check', first?.id ?? null, known.presets),
    targets,
    exceptIds: [],
    overCeiling: [],
    newcomers: true,
    teams: [],
  }
}

function classFor({ classId }: Start, main: StartingCard | null, { classes, planOf }: Known) {
  const named = classes.find((c) => c.id === classId)
  if (named || main === null || main.bookLessonId === null) return named
  return classes.find((c) => planOf(c.planId)?.lessons.some((l) => l.bookLessonId === main.bookLessonId))
}

function lessonFor(
  { lesson }: Start,
  main: StartingCard | null,
  { planOf }: Known,
  first: Pick<DeskClass, 'planId'> | undefined,
) {
  const lessons = planOf(first?.planId ?? null)?.lessons ?? []
  const ofBook = main?.bookLessonId ?? null
  return (
    lessons.find((l) => l.id === lesson) ??
    (ofBook === null ? null : lessons.find((l) => l.bookLessonId === ofBook)) ??
    null
  )
}

function hungOn(lessonId: LessonId | null): WindowSpec {
  const anchor = (part: Pick<Anchor, 'edge' | 'offset' | 'at'>): Anchor | null =>
    lessonId ? { kind: 'anchor', lessonId, step: 'meetings', ...part } : null
  return {
    listed: null,
    opens: anchor({ edge: 'first', offset: 0, at: 'class-start' }),
    due: anchor({ edge: 'last', offset: 1, at: 'class-end' }),
    closes: null,
    putAway: null,
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

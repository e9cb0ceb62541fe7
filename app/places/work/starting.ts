import type { ClassId, LessonId, UserId } from '#core/base'
import { NO_WINDOW } from '#core/availability'
import type { Anchor, Moment, WindowSpec } from '#core/availability'
import type { Plan } from '#core/pacing'
import { NO_ABOUT } from '#core/work'
import type { AssignmentTarget, Draft, Preset, WorkPiece } from '#core/work'
import type { DeskClass } from '#shared/contracts/pacing'
import { pieceOf } from './draft'
import type { DraftInWork } from './draft'
import { mainOf, ownRulesOf, rulesFor } from './pieceRules'
import type { StartingCard } from './pieceRules'

/** What work is called while nothing is chosen to do. */
export const UNNAMED = 'Work'

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
  const only = start.classId === null ? onlyClass(first, known) : first
  const ruling = { classId: only?.id ?? null, presets: known.presets }
  const rules = rulesFor(main?.kind ?? 'check', ruling.classId, known.presets)
  const pieces = cards.reduce<readonly WorkPiece[]>(
    (list, card) => [...list, { ...pieceOf(card, list), rules: ownRulesOf(card, rules, ruling) }],
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
    targets: targetsOf(learnerIds, only?.id ?? null),
    exceptIds: [],
    overCeiling: [],
    newcomers: true,
    teams: [],
  }
}

/** A piece offered to some learners: open at once, for good, and not asked for. */
export function recommendation(
  card: StartingCard,
  learnerIds: readonly UserId[],
  presets: readonly Preset[],
): DraftInWork {
  const start = { cards: [card], lesson: null, classId: null, learnerIds }
  const known = { classes: [], planOf: () => null, isOver: () => false, presets }
  return { ...startingDraft(start, known), about: { ...NO_ABOUT, isRecommended: true } }
}

function targetsOf(learnerIds: readonly UserId[], classId: ClassId | null): readonly AssignmentTarget[] {
  if (learnerIds.length > 0)
    return learnerIds.map((learnerId) => ({ target: { kind: 'learner', learnerId }, overrides: {} }))
  return classId === null ? [] : [{ target: { kind: 'class', classId }, overrides: {} }]
}

/** Moments with which work is open as soon as it is published, for good. */
export const AT_ONCE: WindowSpec = NO_WINDOW

/** The class that work can only be for: the one that shares the plan, or the teacher's only one. */
function onlyClass(first: Known['classes'][number] | undefined, { classes }: Known) {
  const sharing = classes.filter((c) => c.planId !== null && c.planId === first?.planId)
  if (first !== undefined && sharing.length < 2) return first
  return classes.length === 1 ? classes[0] : undefined
}

/** The class that is named, or, where none is, the first that has the piece's lesson in its plan. */
function classFor({ classId }: Start, main: StartingCard | null, { classes, planOf }: Known) {
  if (classId !== null) return classes.find((c) => c.id === classId)
  const ofBook = main?.bookLessonId ?? null
  if (ofBook === null) return undefined
  return classes.find((c) => planOf(c.planId)?.lessons.some((l) => l.bookLessonId === ofBook))
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
  // there everybody has all of it
  const pieces = draft.pieces.map(({ onlyIds: _, ...p }) => ({
    ...p,
    window: Object.fromEntries(
      Object.entries(p.window).flatMap(([field, moment]) => {
        const next = moved(moment)
        return moment !== null && next === null ? [] : [[field, next]]
      }),
    ),
  }))
  const targets = [{ target: { kind: 'class' as const, classId }, overrides: {} }]
  const { followsUp: __, ...about } = draft.about
  return { draft: { ...draft, about, window, pieces, targets, exceptIds: [], teams: [] }, lost }
}

import { asId, instant, isoDay } from '#core/base'
import type {
  PageId,
  AssignmentId,
  AttemptId,
  ClassId,
  GroupId,
  Instant,
  ItemId,
  LessonId,
  PieceId,
  PlanId,
  ResourceId,
  UnitId,
  UserId,
  Weekday,
  YearId,
} from '#core/base'
import { LATER_RULES } from '#core/attempts'
import type { AnswerChange, Attempt, AttemptRules, AttemptScore } from '#core/attempts'
import type { DayNote, PatternRow, SchoolYear } from '#core/calendar'
import { NO_MATERIAL, blanksOf, matchingOf, orderingOf } from '#core/library'
import type { Answer, Item, Resource } from '#core/library'
import type { Plan, PlanLesson } from '#core/pacing'
import { AS_PLANNED } from '#core/pacing'
import { NO_ABOUT } from '#core/work'
import type { WorkPiece } from '#core/work'
import type { DeskClass } from '#shared/contracts/pacing'

/** Small made-up values for tests; only what a test is about has to be given. */
export const ids = {
  class: (id: string) => asId<ClassId>(id),
  group: (id: string) => asId<GroupId>(id),
  lesson: (id: string) => asId<LessonId>(id),
  user: (id: string) => asId<UserId>(id),
  item: (id: string) => asId<ItemId>(id),
  work: (id: string) => asId<AssignmentId>(id),
  try: (id: string) => asId<AttemptId>(id),
}

/** A change of an answer, made on a page that saw none. */
export function aChange(item: string, answer: Answer, over: Partial<AnswerChange> = {}): AnswerChange {
  return { itemId: ids.item(item), answer, from: 0, writer: asId<PageId>('page'), edit: 1, ...over }
}

/** An instant of the year 2026 in UTC: at('10-21T20:30'). */
export function at(text: string): Instant {
  return instant(Date.parse(`2026-${text}:00Z`))
}

export function aYear(part: Partial<SchoolYear> = {}): SchoolYear {
  return {
    id: asId<YearId>('year'),
    name: '2026/27',
    zone: 'America/Denver',
    firstOn: isoDay('2026-08-31'),
    lastOn: isoDay('2026-12-18'),
    weekdays: [1, 2, 3, 4, 5],
    terms: [],
    notes: [],
    rotation: null,
    ...part,
  }
}

export function closure(from: string, through = from, part: Partial<DayNote> = {}): DayNote {
  return {
    id: `n-${from}`,
    kind: 'closure',
    name: `Closed ${from}`,
    fromOn: isoDay(from),
    throughOn: isoDay(through),
    classIds: [],
    ...part,
  }
}

/** Meets on these weekdays at 9:00 for 50 minutes. */
export function onDays(...weekdays: Weekday[]): PatternRow[] {
  return weekdays.map((weekday) => ({ day: { weekday }, startMinute: 540, minutes: 50 }))
}

export function aLesson(id: string, typical = 1, part: Partial<PlanLesson> = {}): PlanLesson {
  return {
    id: ids.lesson(id),
    unitId: asId<UnitId>('u1'),
    number: id,
    title: `Lesson ${id}`,
    kind: 'lesson',
    weight: 'core',
    fixed: null,
    notAfterBreak: false,
    bookLessonId: null,
    length: { unit: 'meetings', min: 0.5, typical, max: 20 },
    ...part,
  }
}

export function aPlan(lessons: readonly PlanLesson[]): Plan {
  return {
    id: asId<PlanId>('plan'),
    title: 'Plan',
    course: 'Science',
    parts: [],
    units: [{ id: asId<UnitId>('u1'), number: '1', title: 'Unit', partId: null }],
    lessons,
  }
}

const base = (id: string) => ({
  id: ids.item(id),
  stem: `Question ${id}`,
  points: 1,
  standard: null,
  difficulty: 2,
  feedback: 'Because.',
  hint: '',
})
const options = ['a', 'b', 'c', 'd'].map((id) => ({ id, text: `Option ${id}` }))

export function single(id: string, part: Partial<Extract<Item, { kind: 'single' }>> = {}): Item {
  return { ...base(id), kind: 'single', options, right: 'b', ...part }
}
export function multiple(id: string, part: Partial<Extract<Item, { kind: 'multiple' }>> = {}): Item {
  return { ...base(id), points: 2, kind: 'multiple', options, right: ['a', 'c'], ...part }
}
export function numeric(id: string, part: Partial<Extract<Item, { kind: 'numeric' }>> = {}): Item {
  return { ...base(id), kind: 'numeric', value: 2.5, tolerance: 0.1, unit: 'm/s', ...part }
}
export function text(id: string, part: Partial<Extract<Item, { kind: 'text' }>> = {}): Item {
  return { ...base(id), kind: 'text', accepted: ['resting place'], ...part }
}

const STEPS = ['Hold the pulse', 'Let it go', 'It runs along', 'It comes back']
export function ordering(id: string, part: Partial<Extract<Item, { kind: 'ordering' }>> = {}): Item {
  return { ...base(id), points: 3, kind: 'ordering', ...orderingOf(STEPS), ...part }
}
export function matching(id: string, part: Partial<Extract<Item, { kind: 'matching' }>> = {}): Item {
  const pairs = matchingOf(
    [
      ['amplitude', 'how far from rest'],
      ['period', 'time for one swing'],
      ['frequency', 'swings in a second'],
    ],
    ['how heavy it is'],
  )
  return { ...base(id), points: 3, kind: 'matching', ...pairs, ...part }
}
export function blanks(id: string, part: Partial<Extract<Item, { kind: 'blanks' }>> = {}): Item {
  const gaps = blanksOf('A wave carries [energy | the energy], not [matter].')
  return { ...base(id), points: 2, kind: 'blanks', ...gaps, ...part }
}
const RANGE = { leastWords: 20, mostWords: 0, leastParagraphs: 0 }
export function extended(id: string, part: Partial<Extract<Item, { kind: 'extended' }>> = {}): Item {
  return { ...base(id), points: 4, kind: 'extended', ...RANGE, guide: 'Two reasons.', ...part }
}

/** One item of every kind. */
export function everyKind(): readonly Item[] {
  return [
    single('1'),
    multiple('2'),
    numeric('3'),
    text('4'),
    ordering('5'),
    matching('6'),
    blanks('7'),
    extended('8'),
  ]
}

/** What a piece says besides what a test is about. */
export const PLAIN_PIECE = {
  language: 'en',
  readingLevel: null,
  standards: [],
  content: '',
  material: NO_MATERIAL,
} satisfies Partial<Resource>

export function aCheck(items: readonly Item[], part: Partial<Resource> = {}): Resource {
  return {
    id: asId<ResourceId>('r1'),
    code: 'chk101',
    title: 'Check',
    kind: 'check',
    role: 'core',
    minutes: 10,
    grade: 8,
    ...PLAIN_PIECE,
    items,
    ...part,
  }
}

export function rules(part: Partial<AttemptRules> = {}): AttemptRules {
  return {
    maxAttempts: 2,
    kept: 'best',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'as-written',
    feedback: 'submission',
    answers: 'close',
    late: null,
    ...LATER_RULES,
    ...part,
  }
}

/** The only piece of an assignment that has one. */
export const P1 = asId<PieceId>('p1')

/** The only piece of an assignment, named. */
export const only = (assignmentId: AssignmentId) => ({ assignmentId, pieceId: P1 })

/** An assignment's pieces from resources, in order, nothing of their own. */
export function piecesOf(...resourceIds: readonly ResourceId[]): readonly WorkPiece[] {
  return resourceIds.map((resourceId, i) => ({
    id: asId<PieceId>(`p${i + 1}`),
    resourceId,
    revision: 1,
    when: 'in',
    handIn: 'alone',
    leastMinutes: 0,
    window: {},
    rules: {},
  }))
}

/** What an assignment says besides what a test is about. */
export const PLAIN_WORK = {
  about: NO_ABOUT,
  isFirst: false,
  inTurn: false,
  newcomers: true,
  teams: [],
  overCeiling: [],
}

export function score(ratio: number): AttemptScore {
  return { points: ratio * 10, of: 10, ratio, lateDays: 0, deductedRatio: 0, items: [] }
}

/** A try that was handed in; pass `submittedAt: null` and `score: null` for one in progress. */
export function aTry(number: number, ratio: number, part: Partial<Attempt> = {}): Attempt {
  return {
    id: ids.try(`t${number}`),
    assignmentId: ids.work('w1'),
    pieceId: P1,
    revision: 1,
    learnerId: ids.user('l1'),
    number,
    startedAt: at('10-01T10:00'),
    deadlineAt: null,
    submittedAt: at(`10-0${number}T11:00`),
    endedBy: 'learner',
    score: score(ratio),
    itemIds: null,
    sharedFrom: null,
    ...part,
  }
}

/** A class as the desk has it, on a plan as it stands, meeting on Mondays, Wednesdays and Fridays. */
export function aDeskClass(id: string, plan: Plan, part: Partial<DeskClass> = {}): DeskClass {
  return {
    id: ids.class(id),
    name: `Class ${id}`,
    shortName: id,
    course: 'S',
    planId: plan.id,
    version: 1,
    pattern: onDays(1, 3, 5),
    learners: 2,
    mayChange: true,
    pacing: AS_PLANNED,
    ...part,
  }
}

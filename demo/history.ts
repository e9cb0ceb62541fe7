import {
  addMinutes,
  asId,
  daysThrough,
  instant,
  mustBeOk,
  parseInstant,
  seedOf,
  seededRandom,
} from '#core/base'
import type {
  ItemId,
  PageId,
  AssignmentId,
  ClassId,
  GroupId,
  Instant,
  IsoDay,
  LessonId,
  PieceId,
  ResourceId,
  UserId,
} from '#core/base'
import type { Learner } from '#core/access'
import type { AnswerChange } from '#core/attempts'
import type { Moment } from '#core/availability'
import { zoneOf } from '#core/calendar'
import type { Answer } from '#core/library'
import { attemptsAt, groupsOf, learnerWorkOf, learnersOf, plansById } from '#db/repositories'
import { NO_ABOUT, momentsOf } from '#core/work'
import type { About, Draft, LearnerWork, When, WorkPiece } from '#core/work'
import { DEMO_PEOPLE } from '#shared/demoPeople'
import { simulatedAnswers, simulatedLearner } from '#standins/learners'
import type { SimulatedLearner } from '#standins/learners'
import type { Deps } from '#usecases/ground/deps'
import { givenPiece } from '#usecases/settling/givenPiece'
import { handIn, saveAnswers, startTry } from '#usecases/learning/tries'
import { changePiece } from '#usecases/library/changePiece'
import { makePiece } from '#usecases/library/shelf'
import { mailNotices } from '#usecases/notices/mailNotices'
import { readMyNotices } from '#usecases/notices/myNotices'
import { assign } from '#usecases/work/assign'
import { previewWork } from '#usecases/work/previewWork'
import { PIECES } from './content'
import { readyForAssigning } from './assigning'
import { changePlans, recordDay } from './planning'
import { RULES } from './rules'
import { stepTrails } from './trails'
import {
  COMING,
  OWN_PIECE,
  OWN_PIECE_BETTER,
  DEMO_NOW,
  HELD,
  RECORDED_THROUGH,
  SECTIONS,
  SEED,
  WORK,
  YEAR,
} from './scenario'
import type { DemoWork } from './scenario'
import type { Demo, DemoSchool } from './demo'

/** The checks that are open at the demo's now. */
const LATEST = ['wav302', 'pro302']

const zone = zoneOf(YEAR.zone)
const until = parseInstant(DEMO_NOW) as Instant

/**
 * Nine weeks as they would have happened, day by day through the use-cases: planning, publishing, learners at
 * work.
 */
export async function liveThrough(deps: Deps, school: DemoSchool, clock: Demo['clock']): Promise<void> {
  const plans = await plansById(deps.store.read, [...school.plans.values()])
  const lessons = new Map(
    [...plans.values()].flatMap((p) => p.plan.lessons.map((l) => [l.number, l.id] as const)),
  )
  const groups = new Map(
    (await groupsOf(deps.store.read, [...school.classes.values()]))
      .filter((g) => g.name === 'Extra practice')
      .map((g) => [g.classId, g.id]),
  )
  const people = (await learnersOf(deps.store.read, [...school.classes.values()])).values()
  const known = new Set(
    [...people]
      .flat()
      .filter((l) => DEMO_PEOPLE.some((p) => p.signIn === l.signIn))
      .map((l) => l.id),
  )
  const demo: Demo = { ...school, known, deps, clock, lessons, groups }
  const waiting = [...WORK]
  const published: { readonly id: AssignmentId; readonly piece: string }[] = []
  for (const on of daysThrough(YEAR.firstOn, zone.local(until).on)) {
    clock.set(zone.at(on, 7 * 60))
    await changePlans(demo, on)
    await stepTrails(deps, school, on)
    for (const next of [...waiting]) {
      const made = await publishWhenNear(demo, next)
      if (!made) break
      waiting.shift()
      published.push({ id: made, piece: next.piece })
    }
    // courses are interleaved in the list, so each looks ahead on its own
    for (const next of waiting.filter((w) => w.course !== waiting[0]?.course).slice(0, 2)) {
      const made = await publishWhenNear(demo, next)
      if (!made) break
      waiting.splice(waiting.indexOf(next), 1)
      published.push({ id: made, piece: next.piece })
    }
    await learnersWork(demo, published, on)
    clock.set(zone.at(on, 16 * 60))
    if (on <= RECORDED_THROUGH) await recordDay(demo)
  }
  clock.set(until)
  const own = mustBeOk(await makePiece(deps, school.teacher, OWN_PIECE), 'own piece').resourceId
  for (const coming of COMING)
    mustBeOk(
      await assign(deps, school.teacher, { draft: draftFor(demo, coming, own), publish: true }),
      coming.piece,
    )
  const better = { resourceId: own, revision: 1, piece: OWN_PIECE_BETTER }
  mustBeOk(await changePiece(deps, school.teacher, better), 'better piece')
  await readyForAssigning(demo)
  for (const held of HELD)
    mustBeOk(await assign(deps, school.teacher, { draft: draftFor(demo, held), publish: false }), held.piece)
  await startSome(demo, published)
  await tellNews(demo)
}

/** What was news two days ago is read, and has gone out. */
async function tellNews({ deps, clock, known, teacher }: Demo): Promise<void> {
  clock.set(addMinutes(until, -2 * 24 * 60))
  for (const userId of known)
    await readMyNotices(deps, { userId, schoolId: teacher.schoolId, role: 'learner', office: false })
  clock.set(until)
  while ((await mailNotices(deps)) > 0);
}

const ABOUT: Record<DemoWork['kind'], Partial<About>> = {
  check: { category: 'Checks' },
  practice: { category: 'Practice', heading: 'Practice' },
  set: { category: 'Practice', heading: 'Practice' },
  review: {
    category: 'Practice',
    objective: 'Show that you can still do what the unit began with.',
    outcomes: ['Say what density is', 'Find the density of a thing from its mass and volume'],
  },
  search: {
    category: 'Practice',
    objective: 'Find out how far you are with wave speed.',
    outcomes: ['Use speed, wavelength and frequency together'],
  },
  test: {
    category: 'Tests',
    heading: 'Tests',
    instructions:
      'You have **40 minutes** and one try. Your answers are saved while you write.\n\n- Leave a question and ' +
      'come back to it whenever you like.\n- A calculator and a sheet of paper are allowed.',
  },
}

/** @param own the teacher's own piece, for work that is prepared by it */
function draftFor({ lessons, classes, groups }: Demo, work: DemoWork, own: ResourceId | null = null): Draft {
  const lessonId = lessons.get(work.lesson) as LessonId
  const anchor = (
    edge: 'first' | 'last',
    offset: number,
    at: 'class-start' | 'class-end' | 'end-of-day',
  ): Moment => ({ kind: 'anchor', lessonId, edge, offset, step: 'meetings', at })
  const window =
    work.kind === 'test'
      ? {
          listed: anchor('first', -1, 'class-end'),
          opens: anchor('first', 0, 'class-start'),
          due: anchor('last', 0, 'end-of-day'),
          closes: null,
          putAway: null,
        }
      : {
          listed: null,
          opens: anchor('first', 0, 'class-start'),
          due: anchor('last', 1, 'class-end'),
          closes: work.kind === 'check' ? anchor('last', 2, 'end-of-day') : null,
          putAway: null,
        }
  const ids = SECTIONS.filter((s) => s.course === work.course).map((s) => classes.get(s.key) as ClassId)
  const targets =
    work.kind === 'practice'
      ? ids.map((id) => ({ kind: 'group' as const, groupId: groups.get(id) as GroupId }))
      : ids.map((classId) => ({ kind: 'class' as const, classId }))
  const piece = pieceOf(work.piece)
  const isReview = work.kind === 'review' || work.kind === 'search'
  const read = work.before === OWN_PIECE.code ? own : work.before && pieceOf(work.before).id
  const steps = read ? [workPiece(1, read, 'before', lessonId)] : []
  return {
    pieces: [...steps, workPiece(steps.length + 1, piece.id, 'in', lessonId)],
    title: isReview ? piece.title.replace('Practice', 'Looking back') : piece.title,
    note:
      work.kind === 'check'
        ? 'You have two tries; the better one counts.'
        : work.kind === 'practice'
          ? 'For the extra practice group. Try it as often as you like.'
          : '',
    about: { ...NO_ABOUT, ...ABOUT[work.kind] },
    isFirst: false,
    newcomers: true,
    teams: [],
    inTurn: steps.length > 0,
    window,
    rules: RULES[work.kind],
    targets: targets.map((target) => ({ target, overrides: {} })),
    exceptIds: [],
    overCeiling: [],
  }
}

function workPiece(number: number, resourceId: ResourceId, when: When, lessonId: LessonId): WorkPiece {
  return {
    id: asId<PieceId>(`p${number}`),
    resourceId,
    revision: 1,
    when,
    handIn: 'alone',
    leastMinutes: 0,
    window: momentsOf(when, lessonId),
    rules: {},
  }
}

const pieceOf = (code: string) => {
  const found = PIECES.find((p) => p.resource.code === code)
  if (!found) throw new Error(`no piece ${code}`)
  return found.resource
}

/** Published in the morning two days before the first class opens it; null while that is further away. */
async function publishWhenNear(demo: Demo, work: DemoWork): Promise<AssignmentId | null> {
  const draft = draftFor(demo, work)
  const preview = mustBeOk(
    await previewWork(demo.deps, demo.teacher, { assignmentId: null, draft }),
    work.piece,
  )
  const opens = Math.min(...preview.classes.map((c) => c.window?.opens ?? Infinity))
  if (opens > addMinutes(demo.deps.clock.now(), 3 * 24 * 60)) return null
  return mustBeOk(await assign(demo.deps, demo.teacher, { draft, publish: true }), work.piece).assignmentId
}

const people = new Map<UserId, SimulatedLearner>()
const personOf = (id: UserId): SimulatedLearner => {
  const known = people.get(id) ?? simulatedLearner(seedOf(`${SEED} ${id}`))
  people.set(id, known)
  return known
}

/**
 * The instant at which a learner does a piece for the nth time, or null: by diligence, mostly before it is
 * due, sometimes late.
 */
function momentFor(row: LearnerWork, nth: number): Instant | null {
  const random = seededRandom(seedOf(`${row.learnerId} ${row.assignmentId} ${row.pieceId} ${nth}`))
  const { opens, due, closes } = row.terms
  // what is open from publishing is read in the last two days
  const from = opens ?? row.terms.listed ?? (due === null ? null : addMinutes(due, -2 * 24 * 60))
  if (from === null || random() > personOf(row.learnerId).diligenceRatio) return null
  const end = due ?? addMinutes(from, 3 * 24 * 60)
  const late = closes !== null && due !== null && closes > due && random() < 0.09
  const share = late
    ? 1 + random() * 0.9 * ((closes - from) / (end - from) - 1)
    : 0.04 + 0.92 * random() ** 1.4
  const at = instant(Math.round(from + share * (end - from)))
  const { on, minuteOfDay } = zone.local(at)
  const awake = zone.at(on, Math.min(21 * 60 + 20, Math.max(7 * 60 + 10, minuteOfDay)))
  return awake < from || (closes !== null && awake >= closes) ? at : awake
}

async function learnersWork(
  demo: Demo,
  published: readonly { readonly id: AssignmentId; readonly piece: string }[],
  on: IsoDay,
): Promise<void> {
  const rows = await learnerWorkOf(
    demo.deps.store.read,
    published.map((p) => p.id),
  )
  const due: { readonly at: Instant; readonly row: LearnerWork; readonly nth: number }[] = []
  for (const row of rows) {
    // those who can be signed in with one click still have something to do
    if (
      demo.known.has(row.learnerId) &&
      LATEST.includes(published.find((p) => p.id === row.assignmentId)?.piece ?? '')
    )
      continue
    for (const nth of [1, 2]) {
      const at = momentFor(row, nth)
      if (at !== null && at < until && zone.local(at).on === on) due.push({ at, row, nth })
    }
  }
  for (const { at, row, nth } of due.sort((a, b) => a.at - b.at)) await tryPiece(demo, row, nth, at)
}

async function tryPiece(
  { deps, teacher, clock }: Demo,
  row: LearnerWork,
  nth: number,
  at: Instant,
): Promise<void> {
  const before = await attemptsAt(deps.store.read, row, row.learnerId)
  const { resource } = await givenPiece(deps.store.read, row)
  // a second try only after a first that could be better, and not by everybody
  if (before.length !== nth - 1 || before.some((a) => a.submittedAt === null)) return
  if (nth === 2 && ((before[0]?.score?.ratio ?? 1) > 0.8 || personOf(row.learnerId).random() < 0.45)) return
  const learner: Learner = {
    userId: row.learnerId,
    schoolId: teacher.schoolId,
    role: 'learner',
    office: false,
  }
  clock.set(at)
  const started = await startTry(deps, learner, row)
  if (!started.ok) return
  const given = new Set(started.value.items.map((i) => i.id))
  const items = resource.items.filter((i) => given.has(i.id))
  const answers = simulatedAnswers(personOf(row.learnerId), items, nth - 1)
  clock.set(addMinutes(at, 4 + Math.floor(personOf(row.learnerId).random() * 9)))
  mustBeOk(
    await handIn(deps, learner, {
      attemptId: started.value.attemptId,
      saves: fromOnePage(answers),
    }),
    'hand in',
  )
}

/** Answers as a page sends them that was opened before any stood. */
function fromOnePage(answers: Iterable<readonly [ItemId, Answer]>): AnswerChange[] {
  const writer = asId<PageId>('demo')
  return [...answers].map(([itemId, answer], i) => ({ itemId, answer, from: 0, writer, edit: i + 1 }))
}

/** Some learners are in the middle of what is open now. */
async function startSome(
  demo: Demo,
  published: readonly { readonly id: AssignmentId; readonly piece: string }[],
): Promise<void> {
  const { deps, teacher } = demo
  const rows = await learnerWorkOf(
    deps.store.read,
    published.map((p) => p.id),
  )
  const open = rows.filter((r) => (r.terms.opens ?? 0) <= until && (r.terms.due ?? Infinity) > until)
  for (const [i, row] of open.entries()) {
    if (
      i % 9 !== 4 ||
      demo.known.has(row.learnerId) ||
      (await attemptsAt(deps.store.read, row, row.learnerId)).length > 0
    )
      continue
    const learner: Learner = {
      userId: row.learnerId,
      schoolId: teacher.schoolId,
      role: 'learner',
      office: false,
    }
    const started = await startTry(deps, learner, row)
    if (!started.ok) continue
    const bank = (await givenPiece(deps.store.read, row)).resource.items
    const given = new Set(started.value.items.map((i) => i.id))
    const items = bank.filter((i) => given.has(i.id))
    if (items.length === 0) continue
    const saves = fromOnePage([...simulatedAnswers(personOf(row.learnerId), items)].slice(0, 3))
    mustBeOk(await saveAnswers(deps, learner, { attemptId: started.value.attemptId, saves }), 'save')
  }
}

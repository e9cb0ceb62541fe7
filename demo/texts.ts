import { addMinutes, asId, mustBeOk, parseInstant, seedOf, seededRandom } from '#core/base'
import type { AssignmentId, ClassId, Instant, PageId, PieceId, UserId } from '#core/base'
import type { Learner, Teacher } from '#core/access'
import { NO_WINDOW } from '#core/availability'
import { zoneOf } from '#core/calendar'
import { isScoredByHand } from '#core/library'
import { NO_ABOUT } from '#core/work'
import { learnersOf } from '#db/repositories'
import { simulatedLearner } from '#standins/learners'
import type { Deps } from '#usecases/ground/deps'
import { keepComment } from '#usecases/evidence/comments'
import { draftScore } from '#usecases/evidence/draftScore'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { listToScore } from '#usecases/evidence/toScore'
import { handIn, startTry } from '#usecases/learning/tries'
import { assign } from '#usecases/work/assign'
import { PIECES } from './content'
import { COMMENTS, TEXTS } from './content/texts'
import type { Demo } from './demo'
import { WRITING } from './rules'
import { DEMO_NOW, SEED, YEAR } from './scenario'
import type { DemoSchool } from './demo'

const zone = zoneOf(YEAR.zone)
const until = parseInstant(DEMO_NOW) as Instant
const DAY = 24 * 60
const P1 = asId<PieceId>('p1')

/** Classes that wrote: all released; nine scored and not released; all still to be read. */
const WROTE = [
  { task: 'mat502', section: '7D', scored: Infinity, released: true },
  { task: 'mat502', section: '7E', scored: 9, released: false },
  { task: 'wav602', section: '8C', scored: 0, released: false },
] as const

/** Writing tasks of last week, with the texts that came back and how far the teacher is with them. */
export async function writeTexts(deps: Deps, school: DemoSchool, clock: Demo['clock']): Promise<void> {
  for (const text of [...COMMENTS].reverse())
    mustBeOk(await keepComment(deps, school.teacher, { text }), 'comment')
  for (const { task, section, scored, released } of WROTE) {
    const classId = school.classes.get(section) as ClassId
    clock.set(addMinutes(until, -8 * DAY))
    const assignmentId = await give(deps, school.teacher, classId, task)
    await write(deps, school.teacher, clock, { assignmentId, classId, task })
    clock.set(until)
    await score(deps, school.teacher, { assignmentId, classId, task, most: scored })
    if (released)
      mustBeOk(await releaseScores(deps, school.teacher, { assignmentId, classId, pieceId: P1 }), 'release')
  }
}

/** The task that two of each class have in the place of theirs. */
const EASIER = 'mat502b'
const WITH_EASIER = [1, 7]

const pieceOf = (code: string) => {
  const found = PIECES.find((p) => p.resource.code === code)
  if (!found) throw new Error(`no piece ${code}`)
  return found.resource
}

async function thoseWithEasier(deps: Deps, classId: ClassId): Promise<readonly UserId[]> {
  const people = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  return people.filter((_, i) => WITH_EASIER.includes(i)).map((p) => p.id)
}

async function give(
  deps: Deps,
  teacher: Teacher,
  classId: ClassId,
  task: keyof typeof TEXTS,
): Promise<AssignmentId> {
  const piece = pieceOf(task)
  const other = pieceOf(EASIER)
  const insteadFor = EASIER.startsWith(task) ? await thoseWithEasier(deps, classId) : []
  const day = (ago: number) => ({ kind: 'day' as const, on: zone.local(addMinutes(until, -ago * DAY)).on })
  const draft = {
    pieces: [
      {
        id: P1,
        resourceId: piece.id,
        revision: 1,
        when: 'after' as const,
        handIn: 'alone' as const,
        leastMinutes: 0,
        window: {},
        rules: {},
      },
    ],
    title: piece.title,
    note: '',
    about: { ...NO_ABOUT, category: 'Writing', heading: 'Writing' },
    isFirst: false,
    newcomers: true,
    inTurn: false,
    teams: [],
    window: { ...NO_WINDOW, opens: day(8), due: day(2) },
    rules: WRITING,
    targets: [
      { target: { kind: 'class' as const, classId }, overrides: {} },
      ...insteadFor.map((learnerId) => ({
        target: { kind: 'learner' as const, learnerId },
        overrides: {},
        versions: { [P1]: { kind: 'parallel' as const, resourceId: other.id, revision: 1 } },
      })),
    ],
    exceptIds: [],
    overCeiling: [],
  }
  return mustBeOk(await assign(deps, teacher, { draft, publish: true }), task).assignmentId
}

interface Task {
  readonly assignmentId: AssignmentId
  readonly classId: ClassId
  readonly task: keyof typeof TEXTS
}

async function write(
  deps: Deps,
  teacher: Teacher,
  clock: Demo['clock'],
  { assignmentId, classId, task }: Task,
): Promise<void> {
  const people = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  for (const [i, { id }] of people.entries()) {
    const learner: Learner = { userId: id, schoolId: teacher.schoolId, role: 'learner', office: false }
    clock.set(addMinutes(until, -7 * DAY + i * 137))
    const { attemptId, items } = mustBeOk(
      await startTry(deps, learner, { assignmentId, pieceId: P1 }),
      'start',
    )
    const own = EASIER.startsWith(task) && WITH_EASIER.includes(i) ? EASIER : task
    const answer = { kind: 'extended' as const, text: textOf(own, id) }
    const writer = asId<PageId>('demo')
    const saves = items
      .filter(isScoredByHand)
      .map((item, n) => ({ itemId: item.id, answer, from: 0, writer, edit: n + 1 }))
    clock.set(addMinutes(until, -7 * DAY + i * 137 + 26))
    mustBeOk(await handIn(deps, learner, { attemptId, saves }), 'hand in')
  }
}

/** A text as good as its learner is: the able say all of it, others leave sentences out. */
function textOf(task: keyof typeof TEXTS, learnerId: UserId): string {
  const { ability } = simulatedLearner(seedOf(`${SEED} ${learnerId}`))
  const random = seededRandom(seedOf(`${SEED} ${task} ${learnerId}`))
  const sentences = TEXTS[task].flatMap((ways, i) => {
    const falls = 1 - ability / 1.6 + (random() - 0.5) * 1.6
    const way = Math.min(2, Math.max(0, Math.round(falls)))
    // a break after the second makes paragraphs
    return falls > 2.3 ? [] : [`${ways[way]}${i === 1 && way < 2 ? '\n' : ' '}`]
  })
  // nobody hands in nothing
  return sentences.join('').trim() || (TEXTS[task][0]?.[2] ?? '')
}

const WORTH = [1, 0.6, 0.25] as const

/** How much of what could be said a text says. */
function shareOf(task: keyof typeof TEXTS, text: string): number {
  const worth = TEXTS[task].map((ways) => WORTH[ways.findIndex((way) => text.includes(way))] ?? 0)
  return worth.reduce<number>((sum, n) => sum + n, 0) / worth.length
}

async function score(deps: Deps, teacher: Teacher, of: Task & { readonly most: number }): Promise<void> {
  const { assignmentId, classId, task, most } = of
  const isOfWaves = (text: string) => text.includes('energy')
  const fitting = COMMENTS.filter((text) => task === 'wav602' || !isOfWaves(text))
  const { answers } = mustBeOk(
    await listToScore(deps, teacher, { assignmentId, classId, pieceId: P1 }),
    'list',
  )
  for (const [i, { attemptId, itemId, answer, criteria }] of answers.slice(0, most).entries()) {
    const text = answer.kind === 'extended' ? answer.text : ''
    const share = Math.max(shareOf(task, text), shareOf(EASIER, text))
    const levels = criteria.map(({ points }, n) => Math.round(points * Math.min(1, share + n * 0.1)))
    const comment = fitting[(i * 5) % fitting.length] ?? ''
    const draft = { attemptId, itemId, levels, comment, again: share < 0.35, version: 0 }
    mustBeOk(await draftScore(deps, teacher, draft), 'score')
  }
}

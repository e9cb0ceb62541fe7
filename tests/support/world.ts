import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll } from 'vitest'
import { asId, isoDay, mustBeOk } from '#core/base'
import type { ClassId, Instant, LessonId, PlanId, ResourceId, SchoolId, UserId, YearId } from '#core/base'
import type { Learner, Role, Teacher } from '#core/access'
import type { Moment } from '#core/availability'
import type { Item } from '#core/library'
import { openStore } from '#db/client'
import { addResource, addTeacher, learnersOf, plansById } from '#db/repositories'
import type { Store } from '#db/repositories'
import { clockAt } from '#standins/clock'
import { randomIds } from '#standins/ids'
import { publicHolidays } from '#standins/holidays'
import { outbox } from '#standins/mail'
import { scryptPasswords } from '#standins/passwords'
import { sessionTickets } from '#standins/tickets'
import { joinClass } from '#usecases/accounts/joinClass'
import { signUp } from '#usecases/accounts/signUp'
import type { Deps } from '#usecases/ground/deps'
import { onThisThread } from '#usecases/ground/heavy'
import { layPlan } from '#usecases/pacing/layPlan'
import { makePlan } from '#usecases/pacing/plans'
import { makeClass } from '#usecases/teaching/makeClass'
import { makeYear } from '#usecases/teaching/years'
import type { Draft } from '#core/work'
import { assign } from '#usecases/work/assign'
import {
  PLAIN_WORK,
  aYear,
  at,
  aCheck,
  multiple,
  numeric,
  onDays,
  piecesOf,
  rules,
  single,
  text,
} from './made'

export const MIGRATIONS = fileURLToPath(new URL('../../db/migrations', import.meta.url))
const folders: string[] = []
const stores: Store[] = []
afterAll(() => {
  for (const store of stores.splice(0)) store.close()
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true })
})

/** An empty folder that goes away with the tests. */
export function aFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'step cairn '))
  folders.push(folder)
  return folder
}

export interface Bench {
  readonly deps: Deps
  readonly clock: ReturnType<typeof clockAt>
  readonly file: string
  /** What was mailed, the newest first. */
  readonly letters: ReturnType<typeof outbox>['letters']
}

/** A real database file with a clock that stands where it is put. */
export async function aBench(now: Instant = at('09-01T12:00')): Promise<Bench> {
  const file = join(aFolder(), 'test.db')
  const store = await openStore({ url: file, migrationsFolder: MIGRATIONS })
  stores.push(store)
  const clock = clockAt(now)
  const mail = outbox()
  return {
    deps: {
      store,
      clock,
      ids: randomIds(),
      passwords: scryptPasswords(1024),
      tickets: sessionTickets('a secret for tests only, 32 letters and more'),
      holidays: publicHolidays(),
      signUp: { kind: 'open' },
      heavy: onThisThread,
      mail,
    },
    clock,
    file,
    letters: mail.letters,
  }
}

interface KnownUser {
  readonly id: UserId
  readonly schoolId: SchoolId
  readonly office: boolean
}
/** Somebody who asks in a role; they are not asked which they have. */
const asking = <R extends Role>(role: R, { id: userId, schoolId, office }: KnownUser) => ({
  userId,
  schoolId,
  role,
  office,
})
const PASSWORD = 'long enough'
export const AT_SCHOOL = { address: 'school', browser: null }

/** A new teacher with a school of their own. */
export async function aTeacher({ deps }: Bench, name: string): Promise<Teacher> {
  return asking(
    'teacher',
    mustBeOk(
      await signUp(deps, {
        school: `${name}'s school`,
        name,
        signIn: name.toLowerCase(),
        password: PASSWORD,
        invitation: '',
        origin: { address: `home of ${name}`, browser: null },
      }),
      name,
    ).user,
  )
}

/** A learner who joined with the class's code. */
export async function aLearner({ deps }: Bench, code: string, name: string): Promise<Learner> {
  return asking(
    'learner',
    mustBeOk(
      await joinClass(deps, {
        code,
        name,
        signIn: name.toLowerCase().replace(/\W/g, '.'),
        password: PASSWORD,
        origin: AT_SCHOOL,
      }),
      name,
    ).user,
  )
}

export interface Room {
  readonly classId: ClassId
  readonly joinCode: string
}
export interface TestSchool extends Bench {
  readonly teacher: Teacher
  readonly stranger: Teacher
  /** Meets Mon, Wed, Fri at 9:00 for 50 minutes. */
  readonly a: Room
  /** Meets Tue, Thu at 9:00. */
  readonly b: Room
  readonly yearId: YearId
  readonly planId: PlanId
  /** By number: '1.1' to '1.3' (1, 1½ and 2 meetings) and '2.1' (1 meeting). */
  readonly lesson: (number: string) => LessonId
  readonly check: ResourceId
  readonly items: readonly Item[]
  readonly ann: Learner
  readonly ben: Learner
  readonly cleo: Learner
}

/**
 * Two classes with different meeting days on one plan; Ann and Ben in the first, Cleo in the second; year
 * from Mon 31 Aug 2026.
 */
export async function aSchool(): Promise<TestSchool> {
  const bench = await aBench()
  const { deps } = bench
  const teacher = await aTeacher(bench, 'Tess')
  const stranger = await aTeacher(bench, 'Sven')
  const { id: _, ...year } = aYear()
  const { yearId } = mustBeOk(await makeYear(deps, teacher, year), 'year')
  const room = async (name: string, ...days: Parameters<typeof onDays>) =>
    mustBeOk(
      await makeClass(deps, teacher, {
        yearId,
        name,
        shortName: name.slice(0, 8),
        course: 'Science',
        pattern: onDays(...days),
      }),
      name,
    )
  const a = await room('Class A', 1, 3, 5)
  const b = await room('Class B', 2, 4)
  const { planId } = mustBeOk(
    await makePlan(deps, teacher, {
      title: 'Plan',
      course: 'Science',
      text: 'One,First,1\nOne,Second,1.5\nOne,Third,2\nTwo,Fourth,1',
    }),
    'plan',
  )
  mustBeOk(await layPlan(deps, teacher, { planId, classIds: [a.classId, b.classId] }), 'lay')
  const plan = (await plansById(deps.store.read, [planId])).get(planId)?.plan
  const items = [single('1'), multiple('2'), numeric('3'), text('4')]
  const check = asId<ResourceId>(deps.ids.newId())
  await deps.store.write((tx) =>
    addResource(tx, {
      resource: aCheck(items, { id: check }),
      schoolId: null,
      ownerId: null,
      bookId: null,
      bookLessonId: null,
      position: 0,
      isShared: true,
      revision: 1,
    }),
  )
  const lesson = (number: string) => plan?.lessons.find((l) => l.number === number)?.id as LessonId
  return {
    ...bench,
    teacher,
    stranger,
    a,
    b,
    yearId,
    planId,
    lesson,
    check,
    items,
    ann: await aLearner(bench, a.joinCode, 'Ann Ash'),
    ben: await aLearner(bench, a.joinCode, 'Ben Birch'),
    cleo: await aLearner(bench, b.joinCode, 'Cleo Cedar'),
  }
}

/** The moment "first/last meeting of a lesson, some meetings on". */
export function anchored(
  lessonId: LessonId,
  edge: 'first' | 'last',
  offset = 0,
  where: 'class-start' | 'class-end' | 'end-of-day' = edge === 'first' ? 'class-start' : 'class-end',
): Moment {
  return { kind: 'anchor', lessonId, edge, offset, step: 'meetings', at: where }
}
export const through = (day: string): Moment => ({ kind: 'day', on: isoDay(day) })

/** A check for both classes, open from publishing and without a due date, unless said otherwise. */
export function aDraft(school: TestSchool, part: Partial<Draft> = {}): Draft {
  return {
    pieces: piecesOf(school.check),
    title: 'Check',
    note: '',
    ...PLAIN_WORK,
    window: { listed: null, opens: null, due: null, closes: null, putAway: null },
    rules: rules(),
    exceptIds: [],
    targets: [school.a, school.b].map((r) => ({
      target: { kind: 'class' as const, classId: r.classId },
      overrides: {},
    })),
    ...part,
  }
}

/** Publishes at once. */
export async function publish(school: TestSchool, part: Partial<Draft> = {}) {
  return mustBeOk(
    await assign(school.deps, school.teacher, { draft: aDraft(school, part), publish: true }),
    'publish',
  ).assignmentId
}

/** Everyone on the roster of a class. */
export async function rosterOf(school: TestSchool, classId: ClassId) {
  return (await learnersOf(school.deps.store.read, [classId])).get(classId) ?? []
}

/** Teaches class B of the school, and is not its office. */
export async function aColleague(school: TestSchool) {
  const other = await aTeacher(school, 'Carla')
  await school.deps.store.write((tx) => addTeacher(tx, school.b.classId, other.userId))
  return { ...school.teacher, userId: other.userId, office: false }
}

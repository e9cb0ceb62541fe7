import { asId, mustBeOk } from '#core/base'
import type { BookId, ClassId, PlanId, ResourceId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import { NO_ACCOMMODATION } from '#core/availability'
import {
  addBook,
  addFramework,
  addPointer,
  addResource,
  addStandards,
  addTeacher,
  addUsers,
  learnersOf,
  saveClaim,
  userBySignIn,
} from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import { DEMO_PASSWORD, DEMO_PEOPLE } from '#shared/demoPeople'
import { joinClass } from '#usecases/accounts/joinClass'
import { signUp } from '#usecases/accounts/signUp'
import type { Deps } from '#usecases/ground/deps'
import { setRoute } from '#usecases/library/practiceRoutes'
import { layPlan } from '#usecases/pacing/layPlan'
import { adoptBook } from '#usecases/pacing/plans'
import { setAccommodation } from '#usecases/teaching/classes'
import { makeClass } from '#usecases/teaching/makeClass'
import { addRoster } from '#usecases/teaching/roster'
import { makeYear } from '#usecases/teaching/years'
import { HEAT, PIECES, STANDARDS, WAVES } from './content'
import type { DemoSchool } from './demo'
import { inventNames } from './people'
import { fixTests, shapePlan } from './planning'
import { SCHOOL, SECTIONS, SEED, YEAR } from './scenario'

/** Textbooks, year, staff, classes, rosters and plans, through the use-cases wherever there is one. */
export async function buildSchool(deps: Deps): Promise<DemoSchool> {
  await shelve(deps)
  const teacher = await staff(deps)
  const { yearId } = mustBeOk(await makeYear(deps, teacher, YEAR), 'year')
  const classes = new Map<string, ClassId>()
  const codes = new Map<string, string>()
  for (const { key, name, shortName, course, pattern } of SECTIONS) {
    const made = mustBeOk(await makeClass(deps, teacher, { yearId, name, shortName, course, pattern }), name)
    classes.set(key, made.classId)
    codes.set(key, made.joinCode)
  }
  await rosters(deps, teacher, classes)
  await accounts(deps, teacher, classes, codes)
  const tomasz = await userBySignIn(deps.store.read, 'tomasz')
  await deps.store.write((tx) => addTeacher(tx, classes.get('8B') as ClassId, tomasz?.id as UserId))
  const plans = new Map<string, PlanId>()
  for (const [course, bookId] of [
    ['Science 8', WAVES.id],
    ['Science 7', HEAT.id],
  ] as readonly [string, BookId][]) {
    const { planId } = mustBeOk(await adoptBook(deps, teacher, bookId), course)
    plans.set(course, planId)
    await shapePlan(deps, teacher, course, planId)
    mustBeOk(
      await layPlan(deps, teacher, {
        planId,
        classIds: SECTIONS.filter((s) => s.course === course).map((s) => classes.get(s.key) as ClassId),
      }),
      'lay',
    )
  }
  await fixTests(deps, teacher, classes, plans)
  return { teacher, classes, plans }
}

const FRAMEWORK = {
  id: 'framework-th',
  schoolId: null,
  title: 'Science, grades 7 and 8',
  outsideId: null,
  creator: null,
}

/** What the textbooks give to who is weak in a check. */
async function pointBack(tx: Connection): Promise<void> {
  const byCode = new Map(PIECES.map((p) => [p.resource.code, p.resource.id]))
  for (const { resource, weak } of PIECES)
    for (const code of weak)
      await addPointer(tx, {
        id: `guide-${resource.code}-${code}`,
        schoolId: null,
        fromPiece: resource.id,
        fromStandard: null,
        toPiece: byCode.get(code) as ResourceId,
        isOff: false,
      })
}

/** Textbooks that are open to classes as practice of their learners' own choice. */
export async function openAsPractice(deps: Deps, { teacher, classes }: DemoSchool): Promise<void> {
  for (const [key, bookId] of [
    ['8A', WAVES.id],
    ['7D', HEAT.id],
  ] as const)
    mustBeOk(
      await setRoute(deps, teacher, { classId: classes.get(key) as ClassId, bookId, isOpen: true }),
      `practice ${key}`,
    )
}

async function shelve(deps: Deps): Promise<void> {
  await deps.store.write(async (tx) => {
    await addFramework(tx, FRAMEWORK)
    await addStandards(tx, STANDARDS, { schoolId: null, frameworkId: FRAMEWORK.id })
    await addBook(tx, WAVES, null, 1)
    await addBook(tx, HEAT, null, 2)
    for (const [position, { resource, lesson, bookId }] of PIECES.entries())
      await addResource(tx, {
        resource,
        schoolId: null,
        ownerId: null,
        bookId,
        bookLessonId: lesson,
        position,
        isShared: true,
        revision: 1,
      })
    await pointBack(tx)
  })
}

const ORIGIN = { address: 'demo', browser: null }

async function staff(deps: Deps): Promise<Teacher> {
  const [imani, ...others] = DEMO_PEOPLE.filter((p) => p.role !== 'learner')
  if (!imani) throw new Error('the demo has no teacher')
  const { user } = mustBeOk(
    await signUp(deps, {
      school: SCHOOL,
      name: imani.name,
      signIn: imani.signIn,
      password: DEMO_PASSWORD,
      invitation: '',
      origin: ORIGIN,
    }),
    'teacher',
  )
  const hash = mustBeOk(await deps.passwords.hash(DEMO_PASSWORD), 'password')
  const people = others.map((p): UserRecord => ({
    id: asId<UserId>(deps.ids.newId()),
    schoolId: user.schoolId,
    name: p.name,
    signIn: p.signIn,
    passwordHash: hash,
    mustChangePassword: false,
    role: p.role,
    office: p.role === 'lead',
    accommodation: NO_ACCOMMODATION,
    grade: null,
    createdAt: deps.clock.now(),
  }))
  await deps.store.write((tx) => addUsers(tx, people))
  return { userId: user.id, schoolId: user.schoolId, role: 'teacher', office: user.office }
}

/** The section a demo learner is in, as their line says. */
const sectionOf = (about: string) => SECTIONS.find((s) => about.startsWith(s.name))?.key

async function rosters(deps: Deps, teacher: Teacher, classes: ReadonlyMap<string, ClassId>): Promise<void> {
  const total = SECTIONS.reduce((n, s) => n + s.size, 0)
  const names = inventNames(total, SEED)
  let next = 0
  for (const { key, size } of SECTIONS) {
    const known = DEMO_PEOPLE.filter((p) => p.role === 'learner' && sectionOf(p.about) === key).map(
      (p) => p.name,
    )
    const own = [...known, ...names.slice(next, next + size - known.length)]
    next += size
    const rows = own.map((name, i) => `${name},${groupsAt(i, size).join(';')},${gradeAt(key, i)}`)
    mustBeOk(
      await addRoster(deps, teacher, {
        classId: classes.get(key) as ClassId,
        text: ['name,groups,grade', ...rows].join('\n'),
        skipBad: false,
      }),
      `roster ${key}`,
    )
  }
}

/** The grade of the class's course; a few of 8 C come up from the grade below. */
function gradeAt(key: string, i: number): number {
  const ofCourse = Number(key[0])
  return key === '8C' && i % 9 === 4 ? ofCourse - 1 : ofCourse
}

/** Two halves by bench, and two groups that overlap them and each other. */
function groupsAt(i: number, size: number): string[] {
  return [
    i < size / 2 ? 'Window benches' : 'Door benches',
    ...(i % 4 === 1 ? ['Extra practice'] : []),
    ...(i % 5 === 1 ? ['Lab leads'] : []),
  ]
}

/** Everybody else has joined too, with a sign-in out of their name. */
async function claimAll(deps: Deps, classes: ReadonlyMap<string, ClassId>): Promise<void> {
  const hash = mustBeOk(await deps.passwords.hash(DEMO_PASSWORD), 'password')
  await deps.store.write(async (tx) => {
    const taken = new Set<string>()
    for (const person of [...(await learnersOf(tx, [...classes.values()])).values()]
      .flat()
      .filter((p) => !p.joined)) {
      const [first = '', last = ''] = person.name
        .normalize('NFD')
        .replace(/[^A-Za-z ]/g, '')
        .toLowerCase()
        .split(' ')
      let signIn = `${first}.${last}`
      while (taken.has(signIn)) signIn += '2'
      taken.add(signIn)
      await saveClaim(tx, person.id, signIn, hash)
    }
  })
}

async function accounts(
  deps: Deps,
  teacher: Teacher,
  classes: ReadonlyMap<string, ClassId>,
  codes: ReadonlyMap<string, string>,
): Promise<void> {
  for (const p of DEMO_PEOPLE.filter((p) => p.role === 'learner')) {
    const key = sectionOf(p.about) as string
    mustBeOk(
      await joinClass(deps, {
        code: codes.get(key) as string,
        name: p.name,
        signIn: p.signIn,
        password: DEMO_PASSWORD,
        origin: ORIGIN,
      }),
      p.name,
    )
  }
  await claimAll(deps, classes)
  const classId = classes.get('8B') as ClassId
  const emeka = (await learnersOf(deps.store.read, [classId])).get(classId)?.find((l) => l.signIn === 'emeka')
  if (emeka)
    mustBeOk(
      await setAccommodation(deps, teacher, {
        classId,
        learnerId: emeka.id,
        accommodation: { timeFactor: 1.5, extraAttempts: 0, extraDays: 1 },
      }),
      'extra time',
    )
}

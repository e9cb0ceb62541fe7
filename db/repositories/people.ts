import { and, asc, eq, inArray, isNull, lte, ne, sql } from 'drizzle-orm'
import type { Role } from '#core/access'
import type { ClassId, Instant, SchoolId, UserId } from '#core/base'
import type { Accommodation } from '#core/availability'
import { classTeachers, enrolments } from '../schema/calendar'
import { schools, sessions, users } from '../schema/people'
import { ask } from './ask'
import type { Connection, SessionUser } from './store'

export interface UserRecord {
  readonly id: UserId
  readonly schoolId: SchoolId
  readonly name: string
  readonly signIn: string
  readonly passwordHash: string
  readonly mustChangePassword: boolean
  readonly role: Role
  readonly office: boolean
  readonly accommodation: Accommodation
  /** A learner's; null: not said. */
  readonly grade: number | null
  readonly createdAt: Instant
}
/** A learner in a class; `joined` once they have a password of their own. */
export interface Person {
  readonly id: UserId
  readonly name: string
  readonly signIn: string
  readonly joined: boolean
  readonly accommodation: Accommodation
  readonly grade: number | null
  readonly joinedAt: Instant
  /** Their start line in the class: from when on its work counts for them. */
  readonly startsAt: Instant
}
type Row = typeof users.$inferSelect

function toUser(row: Row): UserRecord {
  const { timePercent, extraAttempts, extraDays, createdAt, ...rest } = row
  return {
    ...rest,
    createdAt: createdAt as Instant,
    accommodation: { timeFactor: timePercent / 100, extraAttempts, extraDays },
  }
}

function fromUser(user: UserRecord): Row {
  const { accommodation, ...rest } = user
  return {
    ...rest,
    timePercent: Math.round(accommodation.timeFactor * 100),
    extraAttempts: accommodation.extraAttempts,
    extraDays: accommodation.extraDays,
  }
}

/** Puts learners into a grade; null: not said. */
export async function setGrades(tx: Connection, ids: readonly UserId[], grade: number | null): Promise<void> {
  await tx
    .update(users)
    .set({ grade })
    .where(inArray(users.id, [...ids]))
}

/** Adds a school with its name. */
export async function addSchool(
  tx: Connection,
  school: { readonly id: SchoolId; readonly name: string; readonly createdAt: Instant },
): Promise<void> {
  await tx.insert(schools).values(school)
}

/** Rows of people in one statement: SQLite takes some 32,000 values at once. */
const AT_ONCE = 500

/** Adds people; sign-ins are unique. */
export async function addUsers(tx: Connection, people: readonly UserRecord[]): Promise<void> {
  for (let i = 0; i < people.length; i += AT_ONCE)
    await tx.insert(users).values(people.slice(i, i + AT_ONCE).map(fromUser))
}

/** The person with this sign-in, or null. */
export async function userBySignIn(tx: Connection, signIn: string): Promise<UserRecord | null> {
  const [row] = await tx.select().from(users).where(eq(users.signIn, signIn))
  return row ? toUser(row) : null
}

/** The person with this id, or null. */
export async function userById(tx: Connection, id: UserId): Promise<UserRecord | null> {
  const [row] = await tx.select().from(users).where(eq(users.id, id))
  return row ? toUser(row) : null
}

/** Which of these sign-ins are taken. */
export async function takenSignIns(tx: Connection, signIns: readonly string[]): Promise<ReadonlySet<string>> {
  if (signIns.length === 0) return new Set()
  const rows = await tx
    .select({ signIn: users.signIn })
    .from(users)
    .where(inArray(users.signIn, [...signIns]))
  return new Set(rows.map((r) => r.signIn))
}

/** Sets a learner's accommodation. */
export async function saveAccommodation(
  tx: Connection,
  id: UserId,
  accommodation: Accommodation,
): Promise<void> {
  await tx
    .update(users)
    .set({
      timePercent: Math.round(accommodation.timeFactor * 100),
      extraAttempts: accommodation.extraAttempts,
      extraDays: accommodation.extraDays,
    })
    .where(eq(users.id, id))
}

/** Gives an account its own sign-in and password. */
export async function saveClaim(
  tx: Connection,
  id: UserId,
  signIn: string,
  passwordHash: string,
): Promise<void> {
  await tx.update(users).set({ signIn, passwordHash, mustChangePassword: false }).where(eq(users.id, id))
}

/** Gives somebody another password. */
export async function savePassword(
  tx: Connection,
  id: UserId,
  password: { readonly passwordHash: string; readonly mustChangePassword: boolean },
): Promise<void> {
  await tx.update(users).set(password).where(eq(users.id, id))
}

/** Current learners of classes, by name within a class. */
export async function learnersOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<ReadonlyMap<ClassId, readonly Person[]>> {
  const out = new Map<ClassId, Person[]>(classIds.map((id) => [id, []]))
  if (classIds.length === 0) return out
  const rows = await tx
    .select({
      classId: enrolments.classId,
      joinedAt: enrolments.joinedAt,
      startsAt: enrolments.startsAt,
      user: users,
    })
    .from(enrolments)
    .innerJoin(users, eq(users.id, enrolments.learnerId))
    .where(and(inArray(enrolments.classId, [...classIds]), isNull(enrolments.leftAt)))
    .orderBy(asc(users.name))
  for (const { classId, joinedAt, startsAt, user } of rows) {
    const { id, name, signIn, passwordHash, accommodation, grade } = toUser(user)
    out.get(classId)?.push({
      id,
      name,
      signIn,
      joined: passwordHash !== '',
      accommodation,
      grade,
      joinedAt: joinedAt as Instant,
      startsAt: (startsAt ?? joinedAt) as Instant,
    })
  }
  return out
}

/** Enrols learners; one who had left is back. */
export async function enrol(
  tx: Connection,
  classId: ClassId,
  learnerIds: readonly UserId[],
  joinedAt: Instant,
): Promise<void> {
  if (learnerIds.length === 0) return
  await tx
    .insert(enrolments)
    .values(learnerIds.map((learnerId) => ({ classId, learnerId, joinedAt, leftAt: null })))
    .onConflictDoUpdate({ target: [enrolments.classId, enrolments.learnerId], set: { leftAt: null } })
}

/** Sets a learner's start line in a class; null: when they joined. */
export async function setStart(
  tx: Connection,
  {
    classId,
    learnerId,
    startsAt,
  }: { readonly classId: ClassId; readonly learnerId: UserId; readonly startsAt: Instant | null },
): Promise<void> {
  await tx
    .update(enrolments)
    .set({ startsAt })
    .where(and(eq(enrolments.classId, classId), eq(enrolments.learnerId, learnerId)))
}

/**
 * Takes a learner out of a class and its groups; what they did there is kept. A group of several classes keeps who
 * is in another of them.
 */
export async function leaveClass(
  tx: Connection,
  classId: ClassId,
  learnerId: UserId,
  leftAt: Instant,
): Promise<void> {
  await tx
    .update(enrolments)
    .set({ leftAt })
    .where(and(eq(enrolments.classId, classId), eq(enrolments.learnerId, learnerId)))
  await tx.run(sql`delete from group_members where learner_id = ${learnerId} and group_id in (
    select id from groups where class_id = ${classId} union
    select group_id from group_classes where class_id = ${classId})
    and not exists (select 1 from enrolments e where e.learner_id = ${learnerId} and e.left_at is null and (
      e.class_id = (select class_id from groups where id = group_id) or
      e.class_id in (select c.class_id from group_classes c where c.group_id = group_members.group_id)))`)
}

/** Classes a learner is in now. */
export async function classesOfLearner(tx: Connection, learnerId: UserId): Promise<readonly ClassId[]> {
  const rows = await tx
    .select({ classId: enrolments.classId })
    .from(enrolments)
    .where(and(eq(enrolments.learnerId, learnerId), isNull(enrolments.leftAt)))
  return rows.map((r) => r.classId)
}

/** The zone of a learner's first class; null while they are in none. */
export async function zoneOfLearner(tx: Connection, learnerId: UserId): Promise<string | null> {
  const [row] = await ask<{ zone: string }>(tx, ZONE_OF_LEARNER, [learnerId])
  return row?.zone ?? null
}
const ZONE_OF_LEARNER = `select y.body ->> 'zone' as zone from enrolments e join classes c on c.id = e.class_id
  join years y on y.id = c.year_id where e.learner_id = ? and e.left_at is null limit 1`

/** Who teaches each class, first who made it. */
export async function teachersOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<ReadonlyMap<ClassId, readonly UserId[]>> {
  const out = new Map<ClassId, UserId[]>(classIds.map((id) => [id, []]))
  if (classIds.length === 0) return out
  for (const row of await tx
    .select()
    .from(classTeachers)
    .where(inArray(classTeachers.classId, [...classIds]))
    .orderBy(sql`rowid`))
    out.get(row.classId)?.push(row.userId)
  return out
}

/** Adds a teacher to a class. */
export async function addTeacher(tx: Connection, classId: ClassId, userId: UserId): Promise<void> {
  await tx.insert(classTeachers).values({ classId, userId }).onConflictDoNothing()
}

/** Opens a session. */
export async function addSession(
  tx: Connection,
  session: {
    readonly id: string
    readonly userId: UserId
    readonly createdAt: Instant
    readonly expiresAt: Instant
  },
): Promise<void> {
  await tx.insert(sessions).values(session)
}

// asked with every request: one statement, built once for each connection
const ofSession = new WeakMap<Connection, ReturnType<typeof askSession>>()

function askSession(tx: Connection) {
  const { id, schoolId, name, role, office, mustChangePassword } = users
  return tx
    .select({
      user: { id, schoolId, name, role, office, mustChangePassword },
      schoolName: schools.name,
      expiresAt: sessions.expiresAt,
    })
    .from(sessions)
    .innerJoin(users, eq(users.id, sessions.userId))
    .innerJoin(schools, eq(schools.id, users.schoolId))
    .where(eq(sessions.id, sql.placeholder('id')))
    .prepare()
}

export interface SessionRecord {
  readonly user: SessionUser
  readonly expiresAt: Instant
}

/** A session with whose it is, or null. */
export async function sessionById(tx: Connection, id: string): Promise<SessionRecord | null> {
  const ask = ofSession.get(tx) ?? askSession(tx)
  ofSession.set(tx, ask)
  const [row] = await ask.execute({ id })
  if (!row) return null
  return { user: { ...row.user, schoolName: row.schoolName }, expiresAt: row.expiresAt as Instant }
}

/** Ends a session. */
export async function removeSession(tx: Connection, id: string): Promise<void> {
  await tx.delete(sessions).where(eq(sessions.id, id))
}

/** Ends every session of somebody, or all but one. */
export async function removeSessionsOf(tx: Connection, userId: UserId, except: string | null): Promise<void> {
  const own = eq(sessions.userId, userId)
  await tx.delete(sessions).where(except === null ? own : and(own, ne(sessions.id, except)))
}

/** Forgets sessions that are over. */
export async function removeOldSessions(tx: Connection, now: Instant): Promise<void> {
  await tx.delete(sessions).where(lte(sessions.expiresAt, now))
}

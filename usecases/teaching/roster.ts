import { asId, groupBy, ok, refuse } from '#core/base'
import type { ClassId, ComputeRefusal, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { NO_ACCOMMODATION } from '#core/availability'
import type { ColumnsChosen, FormatRefusal, RosterEntry, RosterReading } from '#core/formats'
import { addToJournal, addUsers, enrol, learnersOf, setGrades, takenSignIns } from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { reachNewcomer } from '../settling/refreshWork'
import { classFor } from '../ground/classAccess'
import { addToGroups, gradesToSet, namedGroups } from './rosterParts'

interface Trial extends RosterReading {
  readonly known: readonly string[]
  readonly fresh: readonly string[]
  /** Who is in the class already and gets a grade. */
  readonly graded: readonly string[]
  /** Classes that rows name and that are not this one, with how many rows. */
  readonly elsewhere: readonly { readonly className: string; readonly count: number }[]
}
/** A roster as it was sent. */
interface SentRoster {
  readonly classId: ClassId
  readonly text: string
  /** Which column is what, where somebody has said so. */
  readonly columns?: ColumnsChosen
  /** Takes learners of other classes into this one, too. */
  readonly withOthers?: boolean
}

/**
 * Dry run: which rows would be added, which learners are in the class already, which rows are bad and why.
 */
export async function readRoster(
  deps: Deps,
  actor: Teacher,
  input: SentRoster,
): Promise<Result<Trial, AccessRefusal | FormatRefusal | ComputeRefusal>> {
  const found = await classFor(deps.store.read, actor, input.classId, 'run')
  if (!found.ok) return found
  const read = await deps.heavy.run('roster', input.text, input.columns ?? null)
  if (!read.ok) return read
  const reading = read.value
  if (!reading.ok) return reading
  const { here, others } = parted(reading.value.entries, found.value.name, input.withOthers === true)
  const { known, fresh } = await sorted(deps.store.read, input.classId, here)
  const namesOf = (list: readonly RosterEntry[]) => list.map((e) => e.name)
  return ok({
    ...reading.value,
    known: namesOf(known),
    fresh: namesOf(fresh),
    graded: namesOf(known.filter((e) => e.grade !== null)),
    elsewhere: [...groupBy(others, (e) => e.className ?? '')].map(([className, of]) => ({
      className,
      count: of.length,
    })),
  })
}

/**
 * The rows of this class, and those that name another. All are of this one where the table names one class only: what
 * the office calls it need not be its name here.
 */
function parted(entries: readonly RosterEntry[], className: string, withOthers: boolean) {
  const plain = (name: string) => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '')
  const named = new Set(entries.flatMap((e) => e.className ?? []))
  const isHere = (e: RosterEntry) =>
    withOthers || named.size <= 1 || e.className === null || plain(className).endsWith(plain(e.className))
  return { here: entries.filter(isHere), others: entries.filter((e) => !isHere(e)) }
}

/** Entries of people who are in the class, by who they are, and the others. */
async function sorted(tx: Connection, classId: ClassId, entries: readonly RosterEntry[]) {
  const roster = (await learnersOf(tx, [classId])).get(classId) ?? []
  const byName = groupBy(roster, (l) => l.name.toLowerCase())
  const idOf = new Map<RosterEntry, UserId>()
  for (const entry of entries) {
    // of one name they are one person, unless each has a sign-in of their own
    const isThem = ({ signIn }: { readonly signIn: string }) =>
      entry.signIn === null || signIn === entry.signIn || signIn.startsWith(WAITING)
    const them = (byName.get(entry.name.toLowerCase()) ?? []).find(isThem)
    if (them) idOf.set(entry, them.id)
  }
  return { idOf, known: entries.filter((e) => idOf.has(e)), fresh: entries.filter((e) => !idOf.has(e)) }
}
/** How the sign-in of somebody begins who has none yet. */
const WAITING = 'waiting:'

/**
 * Adds the rows of a roster, and their groups and grades. All or nothing: refused with the line numbers while rows are
 * bad, unless `skipBad`.
 */
export async function addRoster(
  deps: Deps,
  actor: Teacher,
  input: SentRoster & { readonly skipBad: boolean },
): Promise<
  Result<
    { readonly added: number; readonly known: number },
    AccessRefusal | FormatRefusal | AudienceRefusal | ComputeRefusal
  >
> {
  const may = await classFor(deps.store.read, actor, input.classId, 'run')
  if (!may.ok) return may
  const read = await deps.heavy.run('roster', input.text, input.columns ?? null)
  if (!read.ok) return read
  const reading = read.value
  if (!reading.ok) return reading
  const { here } = parted(reading.value.entries, may.value.name, input.withOthers === true)
  return writing(
    deps.store,
    async (
      tx,
    ): Promise<
      Result<{ readonly added: number; readonly known: number }, AccessRefusal | AudienceRefusal>
    > => {
      const found = await classFor(tx, actor, input.classId, 'run')
      if (!found.ok) return found
      if (reading.value.bad.length > 0 && !input.skipBad)
        return refuse({
          code: 'audience/bad-rows',
          field: 'text',
          lines: reading.value.bad.map((b) => b.line),
        })
      const { idOf, known, fresh } = await sorted(tx, input.classId, here)
      const taken = await takenSignIns(
        tx,
        fresh.flatMap((e) => e.signIn ?? []),
      )
      const clash = fresh.find((e) => e.signIn !== null && taken.has(e.signIn))
      if (clash)
        return refuse({
          code: 'audience/sign-in-taken',
          field: 'text',
          line: clash.line,
          signIn: clash.signIn as string,
        })
      const createdAt = deps.clock.now()
      const people = fresh.map((e): UserRecord => {
        const id = asId<UserId>(deps.ids.newId())
        return {
          id,
          schoolId: actor.schoolId,
          name: e.name,
          signIn: e.signIn ?? `${WAITING}${id}`,
          passwordHash: '',
          mustChangePassword: false,
          role: 'learner',
          office: false,
          accommodation: NO_ACCOMMODATION,
          grade: e.grade,
          createdAt,
        }
      })
      await addUsers(tx, people)
      await enrol(
        tx,
        input.classId,
        people.map((p) => p.id),
        createdAt,
      )
      for (const [i, entry] of fresh.entries()) idOf.set(entry, people[i]?.id as UserId)
      const wanted = namedGroups(here, idOf)
      const grades = await gradesToSet(tx, input.classId, { known, idOf })
      const intoGroups = await addToGroups(tx, deps, { classId: input.classId, owner: actor }, wanted)
      for (const [grade, list] of groupBy(grades, (g) => g.to))
        await setGrades(
          tx,
          list.map((g) => g.learnerId),
          grade,
        )
      if (people.length > 0) await reachNewcomer(tx, input.classId, createdAt)
      const learnerIds = people.map((p) => p.id)
      if (learnerIds.length + intoGroups.members.length + grades.length > 0)
        await addToJournal(tx, {
          schoolId: actor.schoolId,
          actorId: actor.userId,
          touches: [input.classId],
          at: createdAt,
          command: { kind: 'roster', classId: input.classId, learnerIds, grades, ...intoGroups },
        })
      return ok({ added: people.length, known: known.length })
    },
  )
}

import { asId, ok, refuse } from '#core/base'
import type { ClassId, Result, SchoolId, UserId } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { NO_ACCOMMODATION } from '#core/availability'
import {
  addSchool,
  addUsers,
  classByJoinCode,
  classesOfLearner,
  enrol,
  learnersOf,
  takenSignIns,
  userById,
  userBySignIn,
} from '#db/repositories'
import type { Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { reachNewcomer } from '../work/refreshWork'
import { claimAccount } from './claimAccount'
import { openSession } from './session'
import { noteFailure, pausedUntil } from './signIn'

type SignedIn = { readonly ticket: string; readonly user: UserRecord }

/** A new teacher with a school of their own, whose year they may set. Refused when the sign-in is taken. */
export async function signUp(
  deps: Deps,
  input: {
    readonly school: string
    readonly name: string
    readonly signIn: string
    readonly password: string
  },
): Promise<Result<SignedIn, AccessRefusal>> {
  const hashed = await deps.passwords.hash(input.password)
  if (!hashed.ok) return hashed
  const passwordHash = hashed.value
  return writing(deps.store, async (tx) => {
    if ((await takenSignIns(tx, [input.signIn])).size > 0)
      return refuse({ code: 'access/sign-in-taken', field: 'signIn' })
    const createdAt = deps.clock.now()
    const schoolId = asId<SchoolId>(deps.ids.newId())
    await addSchool(tx, { id: schoolId, name: input.school, createdAt })
    const user: UserRecord = {
      id: asId<UserId>(deps.ids.newId()),
      schoolId,
      name: input.name,
      signIn: input.signIn,
      passwordHash,
      role: 'teacher',
      office: true,
      accommodation: NO_ACCOMMODATION,
      createdAt,
    }
    await addUsers(tx, [user])
    return ok({ ticket: await openSession(tx, deps, user), user })
  })
}

/**
 * A learner joins a class by its code. A name that stands unclaimed in the roster is theirs; otherwise they
 * are added. Wrong codes are throttled by address.
 */
export async function joinClass(
  deps: Deps,
  input: {
    readonly code: string
    readonly name: string
    readonly signIn: string
    readonly password: string
    readonly address: string
  },
): Promise<Result<SignedIn, AccessRefusal>> {
  const key = `join ${input.address}`
  const until = await pausedUntil(deps, key)
  if (until !== null) return refuse({ code: 'access/too-many-tries', field: 'password', until })
  const hashed = await deps.passwords.hash(input.password)
  if (!hashed.ok) return hashed
  const passwordHash = hashed.value
  const done = await writing(deps.store, async (tx): Promise<Result<SignedIn, AccessRefusal>> => {
    const found = await classByJoinCode(tx, input.code)
    if (!found) return refuse({ code: 'access/unknown-code', field: 'code' })
    const user = await accountFor(tx, deps, found.id, found.schoolId, { ...input, passwordHash })
    if (!user) return refuse({ code: 'access/sign-in-taken', field: 'signIn' })
    return ok({ ticket: await openSession(tx, deps, user), user })
  })
  if (!done.ok && done.error.code === 'access/unknown-code') await noteFailure(deps, key)
  return done
}

async function accountFor(
  tx: Connection,
  deps: Deps,
  classId: ClassId,
  schoolId: SchoolId,
  input: { readonly name: string; readonly signIn: string; readonly passwordHash: string },
): Promise<UserRecord | null> {
  const roster = (await learnersOf(tx, [classId])).get(classId) ?? []
  const name = input.name.toLowerCase().replace(/\s+/g, ' ')
  for (const { id } of roster.filter((p) => p.name.toLowerCase() === name)) {
    const known = await userById(tx, id)
    if (known?.passwordHash === '') return claimAccount(tx, known, input)
  }
  if (await userBySignIn(tx, input.signIn)) return null
  const user: UserRecord = {
    id: asId<UserId>(deps.ids.newId()),
    schoolId,
    name: input.name,
    signIn: input.signIn,
    passwordHash: input.passwordHash,
    role: 'learner',
    office: false,
    accommodation: NO_ACCOMMODATION,
    createdAt: deps.clock.now(),
  }
  await addUsers(tx, [user])
  await enrol(tx, classId, [user.id], deps.clock.now())
  await reachNewcomer(tx, classId)
  return user
}

/** A signed-in learner joins one more class of their school. */
export async function joinAnother(
  deps: Deps,
  actor: Actor,
  code: string,
): Promise<Result<{ readonly className: string }, AccessRefusal>> {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' })
  const key = `join ${actor.userId}`
  const until = await pausedUntil(deps, key)
  if (until !== null) return refuse({ code: 'access/too-many-tries', field: 'password', until })
  const done = await writing(
    deps.store,
    async (tx): Promise<Result<{ readonly className: string }, AccessRefusal>> => {
      const found = await classByJoinCode(tx, code)
      if (!found || found.schoolId !== actor.schoolId)
        return refuse({ code: 'access/unknown-code', field: 'code' })
      if (!(await classesOfLearner(tx, actor.userId)).includes(found.id)) {
        await enrol(tx, found.id, [actor.userId], deps.clock.now())
        await reachNewcomer(tx, found.id)
      }
      return ok({ className: found.name })
    },
  )
  if (!done.ok) await noteFailure(deps, key)
  return done
}

import { DOORS } from '#core/access'
import type { AccessRefusal, Learner } from '#core/access'
import { asId, ok, refuse } from '#core/base'
import type { ClassId, Result, SchoolId, UserId } from '#core/base'
import { NO_ACCOMMODATION } from '#core/availability'
import {
  addUsers,
  classByJoinCode,
  classesOfLearner,
  enrol,
  learnersOf,
  userById,
  userBySignIn,
} from '#db/repositories'
import type { ClassRecord, Connection, UserRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { reachNewcomer } from '../settling/refreshWork'
import { claimAccount } from './claimAccount'
import { joinKnocks, knock, letIn, rememberPlace } from './doors'
import type { Origin } from './doors'
import { openSession } from './session'
import type { SignedIn } from './signIn'

export interface Newcomer {
  readonly code: string
  readonly name: string
  readonly signIn: string
  readonly password: string
  readonly origin: Origin
}

/**
 * A learner joins a class by its code. A name that stands unclaimed in the roster is theirs; otherwise they
 * are added. Tries are counted by address before they are examined.
 */
export async function joinClass(deps: Deps, input: Newcomer): Promise<Result<SignedIn, AccessRefusal>> {
  const knocks = await joinKnocks(deps, input.origin)
  const may = await knock(deps, 'code', knocks)
  if (!may.ok) return may
  const open = await openClass(deps.store.read, input.code)
  if (!open.ok) return open
  const hashed = await deps.passwords.hash(input.password)
  if (!hashed.ok) return hashed
  const passwordHash = hashed.value
  return writing(deps.store, async (tx): Promise<Result<SignedIn, AccessRefusal>> => {
    const found = await openClass(tx, input.code)
    if (!found.ok) return found
    const { id, schoolId } = found.value
    const user = await accountFor(tx, deps, id, schoolId, { ...input, passwordHash })
    if (!user) return refuse({ code: 'access/sign-in-taken', field: 'signIn' })
    await letIn(tx, deps, knocks)
    await rememberPlace(tx, deps, user.id, input.origin)
    return ok({ ticket: await openSession(tx, deps, user), user })
  })
}

/** The class that a code lets somebody into. */
async function openClass(tx: Connection, code: string): Promise<Result<ClassRecord, AccessRefusal>> {
  const found = await classByJoinCode(tx, code)
  if (!found || found.archivedAt !== null) return refuse({ code: 'access/unknown-code', field: 'code' })
  return found.joinOpen ? ok(found) : refuse({ code: 'access/joining-closed', field: 'code' })
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
    mustChangePassword: false,
    role: 'learner',
    office: false,
    accommodation: NO_ACCOMMODATION,
    grade: null,
    createdAt: deps.clock.now(),
  }
  await addUsers(tx, [user])
  await enrol(tx, classId, [user.id], deps.clock.now())
  await reachNewcomer(tx, classId, deps.clock.now())
  return user
}

export type JoinedAnother = Result<{ readonly className: string }, AccessRefusal>

/** A signed-in learner joins one more class of their school. */
export async function joinAnother(deps: Deps, actor: Learner, code: string): Promise<JoinedAnother> {
  const knocks = [{ key: `join-another ${actor.userId}`, rule: DOORS.joiningAnother }]
  const may = await knock(deps, 'code', knocks)
  if (!may.ok) return may
  return writing(deps.store, async (tx): Promise<JoinedAnother> => {
    const found = await openClass(tx, code)
    if (!found.ok) return found
    const { id, schoolId, name } = found.value
    if (schoolId !== actor.schoolId) return refuse({ code: 'access/unknown-code', field: 'code' })
    await letIn(tx, deps, knocks)
    if (!(await classesOfLearner(tx, actor.userId)).includes(id)) {
      await enrol(tx, id, [actor.userId], deps.clock.now())
      await reachNewcomer(tx, id, deps.clock.now())
    }
    return ok({ className: name })
  })
}

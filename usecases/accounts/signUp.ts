import { DOORS } from '#core/access'
import type { AccessRefusal } from '#core/access'
import { asId, ok, refuse } from '#core/base'
import type { Result, SchoolId, UserId } from '#core/base'
import { NO_ACCOMMODATION } from '#core/availability'
import { addSchool, addUsers, takenSignIns } from '#db/repositories'
import type { UserRecord } from '#db/repositories'
import type { Deps, SignUpRule } from '../ground/deps'
import { writing } from '../ground/writing'
import { knock, knockFrom, rememberPlace } from './doors'
import type { Origin } from './doors'
import { openSession } from './session'
import type { SignedIn } from './signIn'

export interface NewSchool {
  readonly school: string
  readonly name: string
  readonly signIn: string
  readonly password: string
  readonly invitation: string
  readonly origin: Origin
}

/**
 * A new teacher with a school of their own, whose year they may set. Refused when the sign-in is taken, where new
 * schools are not let in, and beyond a few from one address.
 */
export async function signUp(deps: Deps, input: NewSchool): Promise<Result<SignedIn, AccessRefusal>> {
  const may = await knock(deps, 'signIn', [knockFrom(deps, 'sign-up', input.origin, DOORS.newSchools)])
  if (!may.ok) return may
  const fault = invitedBy(deps.signUp, input.invitation)
  if (fault) return refuse(fault)
  const hashed = await deps.passwords.hash(input.password)
  if (!hashed.ok) return hashed
  const passwordHash = hashed.value
  return writing(deps.store, async (tx): Promise<Result<SignedIn, AccessRefusal>> => {
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
      mustChangePassword: false,
      role: 'teacher',
      office: true,
      accommodation: NO_ACCOMMODATION,
      grade: null,
      createdAt,
    }
    await addUsers(tx, [user])
    await rememberPlace(tx, deps, user.id, input.origin)
    return ok({ ticket: await openSession(tx, deps, user), user })
  })
}

function invitedBy(rule: SignUpRule, invitation: string): AccessRefusal | null {
  switch (rule.kind) {
    case 'open':
      return null
    case 'closed':
      return { code: 'access/sign-up-closed' }
    case 'invitation':
      return invitation.trim() === rule.code ? null : { code: 'access/wrong-invitation', field: 'invitation' }
  }
}

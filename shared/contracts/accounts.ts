import { z } from 'zod'
import type { Role } from '#core/access'
import type { Instant, UserId } from '#core/base'
import { contract, line } from './define'

export interface Me {
  readonly userId: UserId
  readonly name: string
  readonly role: Role
  readonly office: boolean
  /** A teacher gave the password out: another has to be chosen before anything else. */
  readonly mustChangePassword: boolean
  readonly schoolName: string
  readonly now: Instant
  readonly demo: boolean
}

const signIn = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9._-]{2,40}$/, 'needs 2 to 40 letters, digits, dots or dashes')
const password = z.string().min(8, 'needs at least 8 characters').max(200, 'is longer than 200 characters')

/** Who is signed in; refused when nobody is. */
export const WhoAmI = contract<Me>()({ for: 'newcomer', method: 'GET', path: '/api/me' })
export const SignIn = contract<Me>()({
  for: 'anybody',
  method: 'POST',
  path: '/api/sign-in',
  body: z.strictObject({
    signIn: z.string().trim().toLowerCase().min(1, 'is empty').max(80),
    password: z.string().min(1, 'is empty').max(200),
  }),
})
export const SignOut = contract<{ readonly done: true }>()({
  for: 'anybody',
  method: 'POST',
  path: '/api/sign-out',
})
/** A new teacher with an empty school of their own. */
export const SignUp = contract<Me>()({
  for: 'anybody',
  method: 'POST',
  path: '/api/sign-up',
  body: z.strictObject({
    school: line(80),
    name: line(80),
    signIn,
    password,
    invitation: z.string().max(80).default(''),
  }),
})
/** Whether new schools are let in here. */
export const ShowEntry = contract<{ readonly signUp: 'open' | 'closed' | 'invitation' }>()({
  for: 'anybody',
  method: 'GET',
  path: '/api/entry',
})
/** Another password for oneself; every other session ends. */
export const ChangePassword = contract<{ readonly done: true }>()({
  for: 'newcomer',
  method: 'POST',
  path: '/api/me/password',
  body: z.strictObject({ current: z.string().min(1, 'is empty').max(200), next: password }),
})
/** Signs out everywhere but here. */
export const EndOtherSessions = contract<{ readonly done: true }>()({
  for: 'signed-in',
  method: 'POST',
  path: '/api/me/end-sessions',
})
/**
 * A learner joins a class by its code: takes their place in the roster if their name stands there unclaimed,
 * else is added.
 */
export const JoinClass = contract<Me>()({
  for: 'anybody',
  method: 'POST',
  path: '/api/join',
  body: z.strictObject({
    code: z.string().trim().toLowerCase().min(4, 'is too short').max(12, 'is too long'),
    name: line(80),
    signIn,
    password,
  }),
})
/** A learner who has an account joins one more class. */
export const JoinAnother = contract<{ readonly className: string }>()({
  for: 'learner',
  method: 'POST',
  path: '/api/join-another',
  body: z.strictObject({
    code: z.string().trim().toLowerCase().min(4, 'is too short').max(12, 'is too long'),
  }),
})

export interface DemoPerson {
  readonly name: string
  readonly signIn: string
  readonly password: string
  readonly about: string
  readonly role: Role
}
/** People of the demo for one-click sign-in; empty outside the demo. */
export const DemoPeople = contract<{ readonly people: readonly DemoPerson[] }>()({
  for: 'anybody',
  method: 'GET',
  path: '/api/demo-people',
})

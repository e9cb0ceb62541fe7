import type { Actor, Learner, Teacher } from './types'

/**
 * Whom an address of the server can be for. `newcomer`: everybody signed in, also who has yet to choose a password of
 * their own; all the others wait until that is done.
 */
export type WhoFor = 'anybody' | 'newcomer' | 'signed-in' | 'learner' | 'teacher'

/** Who may be behind a request that was let in; nobody needs to be where anybody may ask. */
export type ActorFor<For extends WhoFor> = For extends 'teacher'
  ? Teacher
  : For extends 'learner'
    ? Learner
    : Actor

const LETS_IN: { readonly [For in WhoFor]: (actor: Actor) => boolean } = {
  anybody: () => true,
  newcomer: () => true,
  'signed-in': () => true,
  learner: (actor) => actor.role === 'learner',
  teacher: isTeacher,
}

/** Whether somebody signed in is among those whom an address is for; what they may do there is asked of the thing. */
export function isFor(whom: WhoFor, actor: Actor): boolean {
  return LETS_IN[whom](actor)
}

/** Teachers and leads; never learners. */
export function isTeacher(actor: Actor): actor is Teacher {
  return actor.role === 'teacher' || actor.role === 'lead'
}

import { ok } from '#core/base'
import {
  ChangePassword,
  DemoPeople,
  EndOtherSessions,
  JoinAnother,
  JoinClass,
  ShowEntry,
  SignIn,
  SignOut,
  SignUp,
  WhoAmI,
} from '#shared/contracts/accounts'
import { DEMO_PEOPLE } from '#shared/demoPeople'
import { joinAnother, joinClass } from '#usecases/accounts/joinClass'
import { changePassword, endOtherSessions } from '#usecases/accounts/ownPassword'
import { signOut, whoAmI } from '#usecases/accounts/session'
import { signIn } from '#usecases/accounts/signIn'
import { signUp } from '#usecases/accounts/signUp'
import { originOf } from '../http/origin'
import { dropTicket, ticketOf } from '../http/session'
import { welcome } from '../http/welcome'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Signing up, in and out, joining, one’s own password. */
export const ACCOUNTS_ROUTES: readonly Route[] = [
  route(WhoAmI, async ({ deps, actor, demo }) => ok({ ...whoAmI(deps, actor).value, demo })),
  route(SignIn, async (asked, { body }) => {
    const origin = originOf(asked.event)
    return welcome(asked, origin, await signIn(asked.deps, { ...body, origin }))
  }),
  route(SignOut, async ({ deps, event }) => {
    await signOut(deps, ticketOf(event))
    dropTicket(event)
    return ok({ done: true as const })
  }),
  route(SignUp, async (asked, { body }) => {
    const origin = originOf(asked.event)
    return welcome(asked, origin, await signUp(asked.deps, { ...body, origin }))
  }),
  route(ShowEntry, async ({ deps }) => ok({ signUp: deps.signUp.kind })),
  route(ChangePassword, ({ deps, actor, event }, { body }) =>
    changePassword(deps, actor, { ...body, ticket: ticketOf(event) }),
  ),
  route(EndOtherSessions, ({ deps, actor, event }) => endOtherSessions(deps, actor, ticketOf(event))),
  route(JoinClass, async (asked, { body }) => {
    const origin = originOf(asked.event)
    return welcome(asked, origin, await joinClass(asked.deps, { ...body, origin }))
  }),
  route(JoinAnother, ({ deps, actor }, { body }) => joinAnother(deps, actor, body.code)),
  route(DemoPeople, async ({ demo }) => ok({ people: demo ? DEMO_PEOPLE : [] })),
]

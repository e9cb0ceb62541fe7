import { EndOtherSessions } from '#shared/contracts/accounts'
import { endOtherSessions } from '#usecases/accounts/ownPassword'
import { handle } from '../../http/handle'
import { ticketOf } from '../../http/session'

export default handle(EndOtherSessions, ({ deps, actor, event }) =>
  endOtherSessions(deps, actor, ticketOf(event)),
)

import { ChangePassword } from '#shared/contracts/accounts'
import { changePassword } from '#usecases/accounts/ownPassword'
import { handleEarly } from '../../http/handle'
import { ticketOf } from '../../http/session'

export default handleEarly(ChangePassword, ({ deps, actor, event }, { body }) =>
  changePassword(deps, actor, { ...body, ticket: ticketOf(event) }),
)

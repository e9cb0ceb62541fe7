import { JoinClass } from '#shared/contracts/accounts'
import { joinClass } from '#usecases/accounts/signUp'
import { handleOpen } from '../http/handle'
import { addressOf, welcome } from '../http/welcome'

export default handleOpen(JoinClass, async (asked, { body }) =>
  welcome(asked, await joinClass(asked.deps, { ...body, address: addressOf(asked.event) })),
)

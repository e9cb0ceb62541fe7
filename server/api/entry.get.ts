import { ok } from '#core/base'
import { ShowEntry } from '#shared/contracts/accounts'
import { handleOpen } from '../http/handle'

export default handleOpen(ShowEntry, async ({ deps }) => ok({ signUp: deps.signUp.kind }))

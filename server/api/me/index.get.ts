import { ok } from '#core/base'
import { WhoAmI } from '#shared/contracts/accounts'
import { whoAmI } from '#usecases/accounts/session'
import { handleEarly } from '../../http/handle'

export default handleEarly(WhoAmI, async ({ deps, actor, demo }) =>
  ok({ ...whoAmI(deps, actor).value, demo }),
)

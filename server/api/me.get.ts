import { ok } from '#core/base'
import { WhoAmI } from '#shared/contracts/accounts'
import { whoAmI } from '#usecases/accounts/session'
import { handle } from '../http/handle'

export default handle(WhoAmI, async ({ deps, actor, demo }) =>
  ok({ ...(await whoAmI(deps, actor)).value, demo }),
)

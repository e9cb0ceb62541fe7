import { JoinAnother } from '#shared/contracts/accounts'
import { joinAnother } from '#usecases/accounts/joinClass'
import { handle } from '../http/handle'

export default handle(JoinAnother, ({ deps, actor }, { body }) => joinAnother(deps, actor, body.code))

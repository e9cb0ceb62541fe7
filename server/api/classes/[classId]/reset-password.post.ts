import { ResetPassword } from '#shared/contracts/teaching'
import { resetPassword } from '#usecases/teaching/resetPassword'
import { handle } from '../../../http/handle'

export default handle(ResetPassword, ({ deps, actor }, { params, body }) =>
  resetPassword(deps, actor, { ...params, ...body }),
)

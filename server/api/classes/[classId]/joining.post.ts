import { SetJoining } from '#shared/contracts/teaching'
import { setJoining } from '#usecases/teaching/joiningCode'
import { handle } from '../../../http/handle'

export default handle(SetJoining, ({ deps, actor }, { params, body }) =>
  setJoining(deps, actor, { ...params, ...body }),
)

import { SetMember } from '#shared/contracts/teaching'
import { setMember } from '#usecases/teaching/setMember'
import { handle } from '../../../http/handle'

export default handle(SetMember, ({ deps, actor }, { params, body }) =>
  setMember(deps, actor, { ...params, ...body }),
)

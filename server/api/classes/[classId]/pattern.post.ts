import { ChangePattern } from '#shared/contracts/teaching'
import { changePattern } from '#usecases/teaching/classes'
import { handle } from '../../../http/handle'

export default handle(ChangePattern, ({ deps, actor }, { params, body }) => changePattern(deps, actor, { ...params, ...body }))

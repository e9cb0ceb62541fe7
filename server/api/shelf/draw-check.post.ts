import { DrawCheck } from '#shared/contracts/library'
import { drawCheck } from '#usecases/library/drawCheck'
import { handle } from '../../http/handle'

export default handle(DrawCheck, ({ deps, actor }, { body }) => drawCheck(deps, actor, body))

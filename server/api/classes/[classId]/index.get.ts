import { ShowClass } from '#shared/contracts/teaching'
import { showClass } from '#usecases/teaching/classes'
import { handle } from '../../../http/handle'

export default handle(ShowClass, ({ deps, actor }, { params }) => showClass(deps, actor, params.classId))

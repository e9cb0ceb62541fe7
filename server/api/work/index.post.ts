import { Assign } from '#shared/contracts/work'
import { assign } from '#usecases/work/assign'
import { handle } from '../../http/handle'

export default handle(Assign, ({ deps, actor }, { body }) => assign(deps, actor, body))

import { Assign } from '#shared/contracts/work'
import { assign } from '#usecases/work/changeWork'
import { handle } from '../../http/handle'

export default handle(Assign, ({ deps, actor }, { body }) => assign(deps, actor, body))

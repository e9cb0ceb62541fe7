import { MakeClass } from '#shared/contracts/teaching'
import { makeClass } from '#usecases/teaching/makeClass'
import { handle } from '../http/handle'

export default handle(MakeClass, ({ deps, actor }, { body }) => makeClass(deps, actor, body))

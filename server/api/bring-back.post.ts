import { BringBack } from '#shared/contracts/teaching'
import { bringBack } from '#usecases/teaching/archive'
import { handle } from '../http/handle'

export default handle(BringBack, ({ deps, actor }, { body }) => bringBack(deps, actor, body))

import { TakeAway } from '#shared/contracts/teaching'
import { takeAway } from '#usecases/teaching/archive'
import { handle } from '../http/handle'

export default handle(TakeAway, ({ deps, actor }, { body }) => takeAway(deps, actor, body))

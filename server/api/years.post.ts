import { MakeYear } from '#shared/contracts/teaching'
import { makeYear } from '#usecases/teaching/years'
import { handle } from '../http/handle'

export default handle(MakeYear, ({ deps, actor }, { body }) => makeYear(deps, actor, body))

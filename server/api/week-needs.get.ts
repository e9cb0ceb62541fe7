import { ShowNeeds } from '#shared/contracts/week'
import { showNeeds } from '#usecases/week/showNeeds'
import { handle } from '../http/handle'

export default handle(ShowNeeds, ({ deps, actor }, { query }) => showNeeds(deps, actor, query))

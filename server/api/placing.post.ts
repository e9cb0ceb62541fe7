import { ShowPlacing } from '#shared/contracts/placing'
import { showPlacing } from '#usecases/placing/showPlacing'
import { handle } from '../http/handle'

export default handle(ShowPlacing, ({ deps, actor }, { body }) => showPlacing(deps, actor, body))

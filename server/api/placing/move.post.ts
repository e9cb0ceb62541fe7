import { MovePlaced } from '#shared/contracts/placing'
import { movePlaced } from '#usecases/placing/place'
import { handle } from '../../http/handle'

export default handle(MovePlaced, ({ deps, actor }, { body }) => movePlaced(deps, actor, body))

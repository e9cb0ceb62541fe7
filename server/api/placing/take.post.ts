import { TakePlaced } from '#shared/contracts/placing'
import { takePlaced } from '#usecases/placing/place'
import { handle } from '../../http/handle'

export default handle(TakePlaced, ({ deps, actor }, { body }) => takePlaced(deps, actor, body))

import { LayPieces } from '#shared/contracts/placing'
import { layPieces } from '#usecases/placing/place'
import { handle } from '../../http/handle'

export default handle(LayPieces, ({ deps, actor }, { body }) => layPieces(deps, actor, body))

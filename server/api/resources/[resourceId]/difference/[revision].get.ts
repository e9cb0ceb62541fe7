import { ShowDifference } from '#shared/contracts/library'
import { showDifference } from '#usecases/library/ownPieces'
import { handle } from '../../../../http/handle'

export default handle(ShowDifference, ({ deps, actor }, { params }) => showDifference(deps, actor, params))

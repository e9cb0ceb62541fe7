import { DropPiece } from '#shared/contracts/library'
import { dropPiece } from '#usecases/library/ownPieces'
import { handle } from '../../../http/handle'

export default handle(DropPiece, ({ deps, actor }, { params }) => dropPiece(deps, actor, params.resourceId))

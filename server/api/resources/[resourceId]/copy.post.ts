import { CopyPiece } from '#shared/contracts/library'
import { copyPiece } from '#usecases/library/ownPieces'
import { handle } from '../../../http/handle'

export default handle(CopyPiece, ({ deps, actor }, { params }) => copyPiece(deps, actor, params.resourceId))

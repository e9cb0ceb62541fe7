import { SharePiece } from '#shared/contracts/library'
import { sharePiece } from '#usecases/library/ownPieces'
import { handle } from '../../../http/handle'

export default handle(SharePiece, ({ deps, actor }, { params, body }) =>
  sharePiece(deps, actor, { ...params, ...body }),
)

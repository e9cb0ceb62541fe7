import { ShowMyPiece } from '#shared/contracts/learning'
import { showMyPiece } from '#usecases/learning/myPiece'
import { handle } from '../../../http/handle'

export default handle(ShowMyPiece, ({ deps, actor }, { params, query }) =>
  showMyPiece(deps, actor, { ...params, pieceId: query.pieceId ?? null }),
)

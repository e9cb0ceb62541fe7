import { ShowLensPiece } from '#shared/contracts/lens'
import { showLensPiece } from '#usecases/lens/showLens'
import { handle } from '../../../http/handle'

export default handle(ShowLensPiece, ({ deps, actor }, { params, query }) =>
  showLensPiece(deps, actor, { ...params, pieceId: query.pieceId ?? null, at: query.at ?? null }),
)

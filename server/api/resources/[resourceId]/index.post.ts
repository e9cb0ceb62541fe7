import { ChangePiece } from '#shared/contracts/library'
import { changePiece } from '#usecases/library/changePiece'
import { handle } from '../../../http/handle'

export default handle(ChangePiece, ({ deps, actor }, { params, body: { revision, ...piece } }) =>
  changePiece(deps, actor, { ...params, revision, piece }),
)

import { ShowMyPiece } from '#shared/contracts/learning'
import { showMyPiece } from '#usecases/learning/myWork'
import { handle } from '../../../http/handle'

export default handle(ShowMyPiece, ({ deps, actor }, { params }) =>
  showMyPiece(deps, actor, params.assignmentId),
)

import { MakePiece } from '#shared/contracts/library'
import { makePiece } from '#usecases/library/shelf'
import { handle } from '../../http/handle'

export default handle(MakePiece, ({ deps, actor }, { body }) => makePiece(deps, actor, body))

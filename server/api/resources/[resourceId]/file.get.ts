import { PieceFile } from '#shared/contracts/files'
import { pieceFile } from '#usecases/library/exports'
import { handleFile } from '../../../http/handle'

export default handleFile(PieceFile, ({ deps, actor }, { params, query }) =>
  pieceFile(deps, actor, { ...params, ...query }),
)

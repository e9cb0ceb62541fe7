import { HandFile } from '#shared/contracts/files'
import { handFile } from '#usecases/learning/handFiles'
import { handle } from '../../../../http/handle'

export default handle(HandFile, ({ deps, actor }, { params, body }) =>
  handFile(deps, actor, { ...params, ...body }),
)

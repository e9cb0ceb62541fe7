import { PreviewLay } from '#shared/contracts/standing'
import { previewLay } from '#usecases/standing/layStanding'
import { handle } from '../../../http/handle'

export default handle(PreviewLay, ({ deps, actor }, { params, body }) =>
  previewLay(deps, actor, { ...params, ...body }),
)

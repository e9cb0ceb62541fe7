import { DropLayer } from '#shared/contracts/versions'
import { dropLayer } from '#usecases/library/versions'
import { handle } from '../../../../../http/handle'

export default handle(DropLayer, ({ deps, actor }, { params, body }) =>
  dropLayer(deps, actor, { ...params, ...body }),
)

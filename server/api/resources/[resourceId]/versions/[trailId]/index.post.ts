import { KeepLayer } from '#shared/contracts/versions'
import { keepLayer } from '#usecases/library/versions'
import { handle } from '../../../../../http/handle'

export default handle(KeepLayer, ({ deps, actor }, { params, body }) =>
  keepLayer(deps, actor, { ...params, ...body }),
)

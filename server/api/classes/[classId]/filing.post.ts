import { KeepFiling } from '#shared/contracts/filing'
import { keepFiling } from '#usecases/filing/keepFiling'
import { handle } from '../../../http/handle'

export default handle(KeepFiling, ({ deps, actor }, { params, body }) =>
  keepFiling(deps, actor, { ...params, ...body }),
)

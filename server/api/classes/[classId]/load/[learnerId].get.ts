import { ShowLoadOf } from '#shared/contracts/load'
import { showLoadOf } from '#usecases/load/showLoad'
import { handle } from '../../../../http/handle'

export default handle(ShowLoadOf, ({ deps, actor }, { params, query }) =>
  showLoadOf(deps, actor, { ...params, ...query }),
)

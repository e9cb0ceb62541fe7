import { ShowLoad } from '#shared/contracts/load'
import { showLoad } from '#usecases/load/showLoad'
import { handle } from '../../../../http/handle'

export default handle(ShowLoad, ({ deps, actor }, { params, query }) =>
  showLoad(deps, actor, { ...params, ...query }),
)

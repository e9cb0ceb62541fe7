import { ShowLens } from '#shared/contracts/lens'
import { showLens } from '#usecases/lens/showLens'
import { handle } from '../../../http/handle'

export default handle(ShowLens, ({ deps, actor }, { params, query }) =>
  showLens(deps, actor, { ...params, at: query.at ?? null }),
)

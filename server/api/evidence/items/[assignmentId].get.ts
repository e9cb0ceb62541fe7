import { ShowItems } from '#shared/contracts/evidence'
import { showItems } from '#usecases/evidence/evidence'
import { handle } from '../../../http/handle'

export default handle(ShowItems, ({ deps, actor }, { params, query }) =>
  showItems(deps, actor, {
    ...params,
    classId: query.classId ?? null,
    pieceId: query.pieceId ?? null,
  }),
)

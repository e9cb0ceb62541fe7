import { AddTexts } from '#shared/contracts/evidence'
import { addTexts } from '#usecases/evidence/addTexts'
import { handle } from '../../../http/handle'

export default handle(AddTexts, ({ deps, actor }, { params, body }) =>
  addTexts(deps, actor, { ...params, ...body }),
)

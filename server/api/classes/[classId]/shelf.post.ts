import { SetClassShelf } from '#shared/contracts/library'
import { setClassShelf } from '#usecases/library/classShelf'
import { handle } from '../../../http/handle'

export default handle(SetClassShelf, ({ deps, actor }, { params, body }) =>
  setClassShelf(deps, actor, { ...params, shelf: body }),
)

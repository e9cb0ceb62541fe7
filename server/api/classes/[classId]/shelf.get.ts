import { ShowClassShelf } from '#shared/contracts/library'
import { showClassShelf } from '#usecases/library/classShelf'
import { handle } from '../../../http/handle'

export default handle(ShowClassShelf, ({ deps, actor }, { params }) =>
  showClassShelf(deps, actor, params.classId),
)

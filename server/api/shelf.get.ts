import { ShowShelf } from '#shared/contracts/library'
import { showShelf } from '#usecases/library/shelf'
import { handle } from '../http/handle'

export default handle(ShowShelf, ({ deps, actor }) => showShelf(deps, actor))

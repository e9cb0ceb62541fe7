import { SearchShelf } from '#shared/contracts/library'
import { searchShelf } from '#usecases/library/searchShelf'
import { handle } from '../../http/handle'

export default handle(SearchShelf, ({ deps, actor }, { body }) => searchShelf(deps, actor, body))

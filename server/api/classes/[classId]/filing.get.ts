import { ShowFiling } from '#shared/contracts/filing'
import { showFiling } from '#usecases/filing/keepFiling'
import { handle } from '../../../http/handle'

export default handle(ShowFiling, ({ deps, actor }, { params }) => showFiling(deps, actor, params))

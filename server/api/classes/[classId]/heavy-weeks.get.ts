import { ShowHeavyWeeks } from '#shared/contracts/load'
import { showHeavyWeeks } from '#usecases/load/showLoad'
import { handle } from '../../../http/handle'

export default handle(ShowHeavyWeeks, ({ deps, actor }, { params }) => showHeavyWeeks(deps, actor, params))

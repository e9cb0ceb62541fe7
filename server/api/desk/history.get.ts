import { ShowHistory } from '#shared/contracts/pacing'
import { showHistory } from '#usecases/journal/journal'
import { handle } from '../../http/handle'

export default handle(ShowHistory, ({ deps, actor }) => showHistory(deps, actor))

import { ShowDesk } from '#shared/contracts/pacing'
import { showDesk } from '#usecases/pacing/desk'
import { handle } from '../../http/handle'

export default handle(ShowDesk, ({ deps, actor }) => showDesk(deps, actor))

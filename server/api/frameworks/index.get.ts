import { ListFrameworks } from '#shared/contracts/files'
import { listFrameworks } from '#usecases/library/exports'
import { handle } from '../../http/handle'

export default handle(ListFrameworks, ({ deps, actor }) => listFrameworks(deps, actor))

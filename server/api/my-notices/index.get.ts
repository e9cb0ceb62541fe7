import { ListMyNotices } from '#shared/contracts/myWork'
import { listMyNotices } from '#usecases/notices/myNotices'
import { handle } from '../../http/handle'

export default handle(ListMyNotices, ({ deps, actor }) => listMyNotices(deps, actor))

import { ReadMyNotices } from '#shared/contracts/myWork'
import { readMyNotices } from '#usecases/notices/myNotices'
import { handle } from '../../http/handle'

export default handle(ReadMyNotices, ({ deps, actor }) => readMyNotices(deps, actor))

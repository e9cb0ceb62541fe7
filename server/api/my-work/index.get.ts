import { ListMyWork } from '#shared/contracts/learning'
import { listMyWork } from '#usecases/learning/myWork'
import { handle } from '../../http/handle'

export default handle(ListMyWork, ({ deps, actor }) => listMyWork(deps, actor))

import { ListRecipients } from '#shared/contracts/work'
import { listRecipients } from '#usecases/work/listWork'
import { handle } from '../http/handle'

export default handle(ListRecipients, ({ deps, actor }) => listRecipients(deps, actor))

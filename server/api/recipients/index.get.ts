import { ListRecipients } from '#shared/contracts/work'
import { listRecipients } from '#usecases/work/listRecipients'
import { handle } from '../../http/handle'

export default handle(ListRecipients, ({ deps, actor }) => listRecipients(deps, actor))

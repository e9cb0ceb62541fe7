import { StandOfRecipients } from '#shared/contracts/work'
import { standOfRecipients } from '#usecases/work/standOfRecipients'
import { handle } from '../../http/handle'

export default handle(StandOfRecipients, ({ deps, actor }, { body }) => standOfRecipients(deps, actor, body))

import { DoCommand } from '#shared/contracts/pacing'
import { doCommand } from '#usecases/pacing/doCommand'
import { handle } from '../../http/handle'

export default handle(DoCommand, ({ deps, actor }, { body }) => doCommand(deps, actor, body))

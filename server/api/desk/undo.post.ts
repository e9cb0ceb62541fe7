import { Undo } from '#shared/contracts/pacing'
import { undo } from '#usecases/pacing/acts'
import { handle } from '../../http/handle'

export default handle(Undo, ({ deps, actor }) => undo(deps, actor))

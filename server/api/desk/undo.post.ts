import { Undo } from '#shared/contracts/pacing'
import { undo } from '#usecases/journal/journal'
import { handle } from '../../http/handle'

export default handle(Undo, ({ deps, actor }) => undo(deps, actor))

import { Redo } from '#shared/contracts/pacing'
import { redo } from '#usecases/journal/journal'
import { handle } from '../../http/handle'

export default handle(Redo, ({ deps, actor }) => redo(deps, actor))

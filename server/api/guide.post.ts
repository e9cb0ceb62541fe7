import { SetPointer } from '#shared/contracts/library'
import { setPointer } from '#usecases/library/guide'
import { handle } from '../http/handle'

export default handle(SetPointer, ({ deps, actor }, { body }) => setPointer(deps, actor, body))

import { ChangeTray } from '#shared/contracts/library'
import { changeTray } from '#usecases/library/tray'
import { handle } from '../../http/handle'

export default handle(ChangeTray, ({ deps, actor }, { body }) => changeTray(deps, actor, body))

import { ShowTray } from '#shared/contracts/library'
import { showTray } from '#usecases/library/tray'
import { handle } from '../../http/handle'

export default handle(ShowTray, ({ deps, actor }) => showTray(deps, actor))

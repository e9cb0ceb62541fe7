import { ListPresets } from '#shared/contracts/work'
import { listPresets } from '#usecases/presets/presets'
import { handle } from '../../http/handle'

export default handle(ListPresets, ({ deps, actor }) => listPresets(deps, actor))

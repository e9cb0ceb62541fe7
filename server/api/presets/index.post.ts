import { KeepPreset } from '#shared/contracts/work'
import { keepPreset } from '#usecases/presets/presets'
import { handle } from '../../http/handle'

export default handle(KeepPreset, ({ deps, actor }, { body }) => keepPreset(deps, actor, body))

import { DropPreset } from '#shared/contracts/work'
import { dropPreset } from '#usecases/presets/presets'
import { handle } from '../../../http/handle'

export default handle(DropPreset, ({ deps, actor }, { params }) => dropPreset(deps, actor, params.presetId))

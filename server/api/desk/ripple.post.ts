import { PreviewRipple } from '#shared/contracts/pacing'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { handleHeavy } from '../../http/handle'

export default handleHeavy(PreviewRipple, ({ deps, actor }, { body }) => previewRipple(deps, actor, body))

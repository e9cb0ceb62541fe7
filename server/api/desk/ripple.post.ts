import { PreviewRipple } from '#shared/contracts/pacing'
import { previewRipple } from '#usecases/pacing/previewRipple'
import { handle } from '../../http/handle'

export default handle(PreviewRipple, ({ deps, actor }, { body }) => previewRipple(deps, actor, body))

import { PreviewWork } from '#shared/contracts/work'
import { previewWork } from '#usecases/work/previewWork'
import { handle } from '../../http/handle'

export default handle(PreviewWork, ({ deps, actor }, { body }) => previewWork(deps, actor, body))

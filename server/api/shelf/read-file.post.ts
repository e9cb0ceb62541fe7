import { PreviewImport } from '#shared/contracts/files'
import { previewImport } from '#usecases/library/imports'
import { handle } from '../../http/handle'

export default handle(PreviewImport, ({ deps, actor }, { body }) => previewImport(deps, actor, body))

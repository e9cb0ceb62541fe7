import { FrameworkFile } from '#shared/contracts/files'
import { frameworkFile } from '#usecases/library/exports'
import { handleFile } from '../../../http/handle'

export default handleFile(FrameworkFile, ({ deps, actor }, { params }) =>
  frameworkFile(deps, actor, params.frameworkId),
)

import { ClassFile } from '#shared/contracts/pacing'
import { classFile } from '#usecases/pacing/files'
import { handleFile } from '../../../http/handle'

export default handleFile(ClassFile, ({ deps, actor }, { params, query }) =>
  classFile(deps, actor, params.classId, query.kind),
)

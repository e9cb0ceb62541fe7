import { TakeImportBack } from '#shared/contracts/files'
import { takeImportBack } from '#usecases/library/imports'
import { handle } from '../../../../http/handle'

export default handle(TakeImportBack, ({ deps, actor }, { params }) =>
  takeImportBack(deps, actor, params.importId),
)

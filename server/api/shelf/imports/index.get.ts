import { ListImports } from '#shared/contracts/files'
import { listImports } from '#usecases/library/imports'
import { handle } from '../../../http/handle'

export default handle(ListImports, ({ deps, actor }) => listImports(deps, actor))

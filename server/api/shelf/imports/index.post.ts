import { MakeImport } from '#shared/contracts/files'
import { makeImport } from '#usecases/library/imports'
import { handle } from '../../../http/handle'

export default handle(MakeImport, ({ deps, actor }, { body }) => makeImport(deps, actor, body))

import { KeepFile } from '#shared/contracts/files'
import { keepFile } from '#usecases/library/files'
import { handle } from '../../http/handle'

export default handle(KeepFile, ({ deps, actor }, { body }) => keepFile(deps, actor, body))

import { KeepComment } from '#shared/contracts/evidence'
import { keepComment } from '#usecases/evidence/comments'
import { handle } from '../../http/handle'

export default handle(KeepComment, ({ deps, actor }, { body }) => keepComment(deps, actor, body))

import { ForgetComment } from '#shared/contracts/evidence'
import { forgetComment } from '#usecases/evidence/comments'
import { handle } from '../../../http/handle'

export default handle(ForgetComment, ({ deps, actor }, { params }) => forgetComment(deps, actor, params))

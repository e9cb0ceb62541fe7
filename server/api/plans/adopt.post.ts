import { AdoptBook } from '#shared/contracts/teaching'
import { adoptBook } from '#usecases/pacing/plans'
import { handle } from '../../http/handle'

export default handle(AdoptBook, ({ deps, actor }, { body }) => adoptBook(deps, actor, body.bookId))

import { ReadOutline } from '#shared/contracts/teaching'
import { readOutline } from '#usecases/pacing/plans'
import { handle } from '../http/handle'

export default handle(ReadOutline, ({ deps, actor }, { body }) => readOutline(deps, actor, body.text))

import { ReadOutline } from '#shared/contracts/teaching'
import { readOutline } from '#usecases/pacing/plans'
import { handleHeavy } from '../http/handle'

export default handleHeavy(ReadOutline, ({ deps, actor }, { body }) => readOutline(deps, actor, body.text))

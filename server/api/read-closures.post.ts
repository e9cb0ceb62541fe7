import { ReadClosures } from '#shared/contracts/teaching'
import { readClosures } from '#usecases/teaching/years'
import { handle } from '../http/handle'

export default handle(ReadClosures, ({ deps, actor }, { body }) => readClosures(deps, actor, body))

import { ReadClosures } from '#shared/contracts/teaching'
import { readClosures } from '#usecases/teaching/years'
import { handleHeavy } from '../http/handle'

export default handleHeavy(ReadClosures, ({ deps, actor }, { body }) => readClosures(deps, actor, body))

import { SetAccommodation } from '#shared/contracts/teaching'
import { setAccommodation } from '#usecases/teaching/classes'
import { handle } from '../../../http/handle'

export default handle(
  SetAccommodation,
  ({ deps, actor }, { params, body: { learnerId, grade, ...accommodation } }) =>
    setAccommodation(deps, actor, { ...params, learnerId, grade, accommodation }),
)

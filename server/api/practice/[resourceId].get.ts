import { OpenPractice } from '#shared/contracts/practice'
import { openPractice } from '#usecases/learning/practice'
import { handle } from '../../http/handle'

export default handle(OpenPractice, ({ deps, actor }, { params }) =>
  openPractice(deps, actor, params.resourceId),
)

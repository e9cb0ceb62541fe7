import { ShowPractice } from '#shared/contracts/practiceRoutes'
import { showPractice } from '#usecases/learning/practice'
import { handle } from '../../http/handle'

export default handle(ShowPractice, ({ deps, actor }) => showPractice(deps, actor))

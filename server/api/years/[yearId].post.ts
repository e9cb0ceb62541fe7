import { ChangeYear } from '#shared/contracts/teaching'
import { changeYear } from '#usecases/teaching/years'
import { handle } from '../../http/handle'

export default handle(ChangeYear, ({ deps, actor }, { params, body }) => changeYear(deps, actor, { ...params, ...body }))

import { LookInside } from '#shared/contracts/library'
import { lookInside } from '#usecases/library/shelf'
import { handle } from '../../../http/handle'

export default handle(LookInside, ({ deps, actor }, { params }) => lookInside(deps, actor, params.resourceId))

import { ActOnMany } from '#shared/contracts/work'
import { actOnMany } from '#usecases/work/actOnMany'
import { handle } from '../http/handle'

export default handle(ActOnMany, ({ deps, actor }, { body }) => actOnMany(deps, actor, body))

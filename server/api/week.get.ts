import { ShowWeek } from '#shared/contracts/week'
import { showWeek } from '#usecases/week/showWeek'
import { handle } from '../http/handle'

export default handle(ShowWeek, ({ deps, actor }, { query }) =>
  showWeek(deps, actor, { on: query.on ?? null }),
)

import { OfferHolidays } from '#shared/contracts/teaching'
import { offerHolidays } from '#usecases/teaching/holidays'
import { handle } from '../http/handle'

export default handle(OfferHolidays, ({ deps, actor }, { query }) =>
  offerHolidays(deps, actor, { ...query, country: query.country ?? null, region: query.region ?? null }),
)

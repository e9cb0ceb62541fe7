import { ok } from '#core/base'
import type { IsoDay, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { Holiday, HolidayPlace } from '#ports'
import type { Deps } from '../ground/deps'

export interface HolidayOffer {
  readonly countries: readonly HolidayPlace[]
  readonly regions: readonly HolidayPlace[]
  readonly holidays: readonly Holiday[]
}

/**
 * Public holidays to choose closures from: the countries, and for one of them its regions and its holidays in
 * a year.
 */
export async function offerHolidays(
  deps: Deps,
  actor: Teacher,
  of: {
    readonly country: string | null
    readonly region: string | null
    readonly firstOn: IsoDay
    readonly lastOn: IsoDay
  },
): Promise<Result<HolidayOffer, AccessRefusal>> {
  const { holidays } = deps
  const { country, region, firstOn, lastOn } = of
  return ok({
    countries: holidays.countries(),
    regions: country === null ? [] : holidays.regions(country),
    holidays: country === null ? [] : holidays.between(country, region, firstOn, lastOn),
  })
}

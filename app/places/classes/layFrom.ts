import { addDays } from '#core/base'
import type { IsoDay } from '#core/base'
import type { SchoolYear } from '#core/calendar'

/** From where a plan is laid: with the year, today, or on a day that is chosen. */
export type From = 'year' | 'today' | 'day'

/** So long after its first day a year counts as just begun. */
const JUST_BEGUN_DAYS = 14

/** From where a plan is laid unless somebody says otherwise: a year that is under way would leave it all behind. */
export function usualFrom({ firstOn, lastOn }: Pick<SchoolYear, 'firstOn' | 'lastOn'>, today: IsoDay): From {
  return today > addDays(firstOn, JUST_BEGUN_DAYS) && today <= lastOn ? 'today' : 'year'
}

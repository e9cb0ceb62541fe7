import Calendar from 'date-holidays'
import { addDays, parseIsoDay } from '#core/base'
import type { IsoDay } from '#core/base'
import type { Holiday, HolidayPlace, Holidays } from '#ports'

const placesIn = (names: Readonly<Record<string, string>> | undefined): readonly HolidayPlace[] =>
  Object.entries(names ?? {})
    .map(([code, name]) => ({ code, name }))
    .sort((a, b) => (a.name < b.name ? -1 : 1))

/**
 * Public holidays from the date-holidays package, which ships its data (CC BY-SA 3.0, date-holidays authors).
 */
export function publicHolidays(): Holidays {
  const all = new Calendar()
  return {
    countries: () => placesIn(all.getCountries('en')),
    regions: (country) =>
      placesIn(all.getStates(country, 'en') as Readonly<Record<string, string>> | undefined),
    between: (country, region, firstOn, lastOn) => {
      const calendar = region === null ? new Calendar(country) : new Calendar(country, region)
      const years = yearsBetween(firstOn, lastOn)
      const found = years.flatMap((year) => calendar.getHolidays(year, 'en'))
      return found
        .filter((h) => h.type === 'public')
        .flatMap((h): readonly Holiday[] => {
          const fromOn = parseIsoDay(h.date.slice(0, 10))
          if (fromOn === null) return []
          const days = Math.max(1, Math.round((h.end.getTime() - h.start.getTime()) / 86_400_000))
          return [{ name: h.name, fromOn, throughOn: addDays(fromOn, days - 1) }]
        })
        .filter((h) => h.throughOn >= firstOn && h.fromOn <= lastOn)
        .sort((a, b) => (a.fromOn < b.fromOn ? -1 : 1))
    },
  }
}

function yearsBetween(firstOn: IsoDay, lastOn: IsoDay): number[] {
  const [first, last] = [Number(firstOn.slice(0, 4)), Number(lastOn.slice(0, 4))]
  // a school year is one or two calendar years long; more is nobody's year
  return Array.from({ length: Math.min(3, Math.max(0, last - first + 1)) }, (_, i) => first + i)
}

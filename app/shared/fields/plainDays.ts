import { casual } from 'chrono-node/en'
import type { DayReader } from './dayReading'

/** Days in plain English, by chrono-node; fetched when the first field for a day is entered. */
export const readPlainDay: DayReader = (text, today) => {
  const [result] = casual.parse(text, new Date(`${today}T12:00:00`), { forwardDate: true })
  const start = result?.start
  const [year, month, day] = [start?.get('year'), start?.get('month'), start?.get('day')]
  if (!start || !year || !month || !day) return null
  // 'in March' or 'this year' name no day
  const namesDay = start.isCertain('day') || start.isCertain('weekday')
  return namesDay
    ? { year, month, day, isYearSure: start.isCertain('year') || !start.isCertain('month') }
    : null
}

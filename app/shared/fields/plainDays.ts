import { casual } from 'chrono-node/en'
import type { DayReader } from './dayReading'

/** Days in plain English, by chrono-node; fetched when the first field for a day is entered. */
export const readPlainDay: DayReader = (text, today) => {
  const [result] = casual.parse(text, new Date(`${today}T12:00:00`), { forwardDate: true })
  // a day that is found in words that say more is half understood: "2 meetings from now" is not today
  if (!result || !isWhole(text, result)) return null
  const { start } = result
  const [year, month, day] = [start.get('year'), start.get('month'), start.get('day')]
  if (!year || !month || !day || start.isCertain('hour')) return null
  // 'in March' or 'this year' name no day
  const namesDay = start.isCertain('day') || start.isCertain('weekday')
  return namesDay
    ? { year, month, day, isYearSure: start.isCertain('year') || !start.isCertain('month') }
    : null
}

/** Words that may stand around a day. */
const AROUND = /^(?:on|by|until|till|through|the|,|\s)*$/

function isWhole(
  text: string,
  { index, text: found }: { readonly index: number; readonly text: string },
): boolean {
  return AROUND.test(text.slice(0, index).toLowerCase()) && /^[\s,.]*$/.test(text.slice(index + found.length))
}

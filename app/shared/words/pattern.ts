import type { PatternRow } from '#core/calendar'
import { sayMinute, WEEKDAY_WORDS } from './times'

/** 'A days 8:30 am' or 'Mon, Wed, Fri 1:10 pm', for the rows that hold on most days. */
export function sayPattern(rows: readonly PatternRow[]): string {
  const byTime = new Map<number, string[]>()
  for (const row of rows) {
    const day = 'label' in row.day ? row.day.label : (WEEKDAY_WORDS[row.day.weekday - 1] as string)
    const known = byTime.get(row.startMinute)
    if (!known) byTime.set(row.startMinute, [day])
    else if (!known.includes(day)) known.push(day)
  }
  const lettered = rows.some((r) => 'label' in r.day)
  return [...byTime]
    .map(([start, days]) => `${days.join(', ')}${lettered ? ' days' : ''} ${sayMinute(start)}`)
    .join(' · ')
}

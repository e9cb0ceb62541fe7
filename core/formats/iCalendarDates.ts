import { parseIsoDay } from '../base'

const DATED = ['DTSTART', 'DTEND', 'RECURRENCE-ID', 'EXDATE', 'RDATE']

/**
 * The events of an iCalendar text, counted from 0 in its order, that have a date which is none: 31 November, a
 * date with a time where its VALUE says that it is a date, and the like. The package bends such dates.
 */
export function badDates(text: string): ReadonlySet<number> {
  const bad = new Set<number>()
  let event = -1
  let depth = 0
  for (const line of unfolded(text)) {
    const upper = line.slice(0, 20).toUpperCase()
    if (upper.startsWith('BEGIN:VEVENT')) {
      event++
      depth = 1
    } else if (depth > 0 && upper.startsWith('BEGIN:')) depth++
    else if (depth > 0 && upper.startsWith('END:')) depth--
    else if (depth === 1 && !isWellDated(line)) bad.add(event)
  }
  return bad
}

/** Lines with what was folded onto the next ones put back. */
function unfolded(text: string): readonly string[] {
  return text.replace(/\r?\n[ \t]/g, '').split(/\r\n|\n|\r/)
}

function isWellDated(line: string): boolean {
  const [head, value] = parted(line)
  const [name = '', ...params] = head.toUpperCase().split(';')
  if (!DATED.includes(name)) return true
  const kind = params.find((p) => p.startsWith('VALUE='))?.slice(6) ?? 'DATE-TIME'
  if (kind === 'PERIOD') return true
  return value.split(',').every((v) => (kind === 'DATE' ? isDate(v.trim()) : isDateTime(v.trim())))
}

/** A content line at its first colon outside quotes. */
function parted(line: string): readonly [string, string] {
  let isQuoted = false
  for (let i = 0; i < line.length; i++) {
    if (line[i] === '"') isQuoted = !isQuoted
    else if (line[i] === ':' && !isQuoted) return [line.slice(0, i), line.slice(i + 1)]
  }
  return [line, '']
}

function isDate(text: string): boolean {
  if (!/^\d{8}$/.test(text)) return false
  return parseIsoDay(`${text.slice(0, 4)}-${text.slice(4, 6)}-${text.slice(6)}`) !== null
}

function isDateTime(text: string): boolean {
  const time = /^(\d{8})T(\d{2})(\d{2})(\d{2})Z?$/.exec(text)
  if (time === null) return false
  const [, day = '', hour, minute, second] = time
  return isDate(day) && Number(hour) < 24 && Number(minute) < 60 && Number(second) <= 60
}

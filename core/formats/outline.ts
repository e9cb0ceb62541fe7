import { ok } from '../base'
import type { Result } from '../base'
import { headings, parseCells } from './csv'
import type { FormatRefusal } from './refusals'

export interface OutlineLesson {
  readonly line: number
  readonly unit: string
  readonly title: string
  readonly meetings: number
}
export const OUTLINE_FAULTS = ['no-lesson', 'no-unit', 'not-meetings', 'minutes-not-meetings'] as const
export type OutlineFault = (typeof OUTLINE_FAULTS)[number]
export interface BadOutlineRow {
  readonly line: number
  readonly fault: OutlineFault
  readonly text: string
}
export interface OutlineReading {
  readonly lessons: readonly OutlineLesson[]
  readonly bad: readonly BadOutlineRow[]
}

const NAMES = {
  unit: ['unit', 'topic', 'chapter'],
  lesson: ['lesson', 'title'],
  meetings: ['meetings', 'length', 'days', 'periods', 'count'],
}

/**
 * Reads an outline: unit, lesson, meetings a row, with or without headings. An empty unit repeats the one
 * above; empty meetings means 1.
 * Lengths are whole or half meetings from 0.5 to 40; anything else is listed as a bad row with its line.
 */
export function parseOutline(text: string): Result<OutlineReading, FormatRefusal> {
  const rows = parseCells(text)
  if (!rows.ok) return rows
  const head = rows.value[0] ? headings(rows.value[0], NAMES) : null
  const at = head ?? { unit: 0, lesson: 1, meetings: 2 }
  const lessons: OutlineLesson[] = []
  const bad: BadOutlineRow[] = []
  let unit = ''
  for (const { line, cells } of head ? rows.value.slice(1) : rows.value) {
    const cell = (key: string) =>
      at[key as keyof typeof at] === undefined ? '' : (cells[at[key as keyof typeof at] as number] ?? '')
    unit = cell('unit') || unit
    const title = cell('lesson')
    const length = cell('meetings').replace(',', '.')
    const meetings = length === '' ? 1 : Number(length)
    if (title === '') bad.push({ line, fault: 'no-lesson', text: cells.join(', ') })
    else if (unit === '') bad.push({ line, fault: 'no-unit', text: title })
    else if (/min/i.test(length)) bad.push({ line, fault: 'minutes-not-meetings', text: cell('meetings') })
    else if (!Number.isInteger(meetings * 2) || meetings < 0.5 || meetings > 40)
      bad.push({ line, fault: 'not-meetings', text: cell('meetings') })
    else lessons.push({ line, unit, title, meetings })
  }
  return ok({ lessons, bad })
}

import { assertNever, ok, parseIsoDay } from '../base'
import type { IsoDay, Result } from '../base'
import { LESSON_KINDS, WEIGHTS } from '../pacing'
import type { FixedDate, Layout, LessonLength, LessonRow, Plan, PlanLesson } from '../pacing'
import { printCells } from './csv'
import { PLAN_COLUMNS as COLUMNS } from './planColumns'
import type { FormatRefusal } from './refusals'
import { inOrderOf, readTable } from './table'
import type { ColumnsChosen, TableSeen } from './tableSeen'

/**
 * One row of a plan table and the line it stands on; absent cells are null and leave a known lesson as it is.
 */
export interface PlanRow extends LessonRow {
  readonly line: number
}
export const PLAN_ROW_FAULTS = [
  'no-number',
  'number-twice',
  'bad-kind',
  'bad-weight',
  'bad-length',
  'bad-fixed',
] as const
export type PlanRowFault = (typeof PLAN_ROW_FAULTS)[number]
export interface BadPlanRow {
  readonly line: number
  readonly fault: PlanRowFault
  readonly text: string
}
export interface PlanTableReading {
  readonly rows: readonly PlanRow[]
  readonly bad: readonly BadPlanRow[]
  readonly table: TableSeen
}

type Column = keyof typeof COLUMNS

/**
 * Reads a plan table, pasted or as CSV, with or without headings (unit, number, title, kind, weight, least, usual,
 * most, fixed, not after a break). Lengths are meetings ('1.5') or minutes ('45 min'); least and most default to
 * half and double. Fixed dates: '2026-10-14' (on), 'from …', 'by …', '… to …', 'none'. Bad rows are listed with
 * their line, never dropped.
 * @param chosen which column is what, where somebody has said so
 */
export function parsePlanTable(
  text: string,
  chosen: ColumnsChosen = null,
): Result<PlanTableReading, FormatRefusal> {
  const table = readTable<Column>(text, {
    columns: COLUMNS,
    needed: ['number', 'title'],
    headless: () => inOrderOf(COLUMNS),
    chosen,
  })
  if (!table.ok) return table
  const rows: PlanRow[] = []
  const bad: BadPlanRow[] = []
  const seen = new Set<string>()
  let unit: string | null = null
  for (const { line, cell } of table.value.rows) {
    unit = cell('unit') || unit
    const read = readRow(line, unit, cell, seen)
    if ('fault' in read) bad.push(read)
    else rows.push(read)
  }
  return ok({ rows, bad, table: table.value.seen })
}

function readRow(
  line: number,
  unit: string | null,
  cell: (column: Column) => string,
  seen: Set<string>,
): PlanRow | BadPlanRow {
  const number = cell('number')
  const fault = (of: PlanRowFault, text: string): BadPlanRow => ({ line, fault: of, text })
  if (number === '') return fault('no-number', cell('title'))
  if (seen.has(number.toLowerCase())) return fault('number-twice', number)
  seen.add(number.toLowerCase())
  const kind = oneOf(LESSON_KINDS, cell('kind'))
  if (kind === undefined) return fault('bad-kind', cell('kind'))
  const weight = oneOf(WEIGHTS, cell('weight'))
  if (weight === undefined) return fault('bad-weight', cell('weight'))
  const length = readLength(cell('least'), cell('usual'), cell('most'))
  if (length === undefined)
    return fault('bad-length', [cell('least'), cell('usual'), cell('most')].filter(Boolean).join(', '))
  const fixed = readFixed(cell('fixed'))
  if (fixed === undefined) return fault('bad-fixed', cell('fixed'))
  const after = cell('break').toLowerCase()
  return {
    line,
    unit,
    number,
    title: cell('title') || null,
    kind,
    weight,
    length,
    fixed,
    notAfterBreak: after === '' ? null : ['yes', 'y', 'true', 'x', '1'].includes(after),
  }
}

function oneOf<T extends string>(known: readonly T[], text: string): T | null | undefined {
  return text === '' ? null : known.find((k) => k === text.toLowerCase())
}

function readLength(least: string, usual: string, most: string): LessonLength | null | undefined {
  if (usual === '') return least === '' && most === '' ? null : undefined
  const unit = /min/i.test(usual) ? 'minutes' : 'meetings'
  const number = (text: string) => Number(text.replace(',', '.').split(/min/i, 1)[0])
  const typical = number(usual)
  const grain = unit === 'minutes' ? 1 : 0.5
  const min =
    least === ''
      ? Math.max(unit === 'minutes' ? 5 : 0.5, Math.ceil(typical / 2 / grain) * grain)
      : number(least)
  const max = most === '' ? Math.min(unit === 'minutes' ? 2400 : 40, typical * 2) : number(most)
  const ok =
    [min, typical, max].every((n) => Number.isFinite(n) && n > 0 && Number.isInteger(n / grain)) &&
    min <= typical &&
    typical <= max &&
    max <= (unit === 'minutes' ? 2400 : 40)
  return ok ? { unit, min, typical, max } : undefined
}

function readFixed(text: string): FixedDate | 'none' | null | undefined {
  if (text === '') return null
  if (text.toLowerCase() === 'none') return 'none'
  const [first, second] = [...text.matchAll(/\d{4}-\d{2}-\d{2}/g)].map((m) => parseIsoDay(m[0]))
  if (!first || second === null) return undefined
  if (second !== undefined) return { kind: 'within', fromOn: first, throughOn: second }
  const word = text
    .toLowerCase()
    .replace(/\d{4}-\d{2}-\d{2}/, '')
    .trim()
  return word === '' || word === 'on'
    ? { kind: 'on', on: first }
    : word === 'from' || word === 'not before'
      ? { kind: 'not-before', on: first }
      : word === 'by' || word === 'not after'
        ? { kind: 'not-after', on: first }
        : undefined
}

/** A fixed date in the form that the table takes back. */
export function printFixed(fixed: FixedDate | null): string {
  if (fixed === null) return ''
  switch (fixed.kind) {
    case 'on':
      return fixed.on
    case 'not-before':
      return `from ${fixed.on}`
    case 'not-after':
      return `by ${fixed.on}`
    case 'within':
      return `${fixed.fromOn} to ${fixed.throughOn}`
    default:
      return assertNever(fixed)
  }
}

function printLength({ unit }: LessonLength, n: number): string {
  return unit === 'minutes' ? `${n} min` : String(n)
}

/** A plan as CSV, with the headings that `parsePlanTable` reads. */
export function printPlanTable(plan: Plan): string {
  const titles = new Map(plan.units.map((u) => [u.id, u.title]))
  const printed: Record<Column, (lesson: PlanLesson) => string> = {
    unit: (lesson) => titles.get(lesson.unitId) ?? '',
    number: (lesson) => lesson.number,
    title: (lesson) => lesson.title,
    kind: (lesson) => lesson.kind,
    weight: (lesson) => lesson.weight,
    least: ({ length }) => printLength(length, length.min),
    usual: ({ length }) => printLength(length, length.typical),
    most: ({ length }) => printLength(length, length.max),
    fixed: (lesson) => printFixed(lesson.fixed),
    break: (lesson) => (lesson.notAfterBreak ? 'yes' : ''),
  }
  const columns = Object.keys(COLUMNS) as Column[]
  const head = columns.map((column) => capitalised(COLUMNS[column][0]))
  return printCells([head, ...plan.lessons.map((lesson) => columns.map((column) => printed[column](lesson)))])
}

function capitalised(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`
}

/** A class's layout, and what it is a layout of. */
export interface LayoutToPrint {
  readonly sequence: readonly PlanLesson[]
  readonly units: Plan['units']
  readonly layout: Layout
  readonly meetings: readonly { readonly on: IsoDay }[]
  readonly covered: ReadonlySet<string>
}

/** A class's layout as CSV: a row per lesson with its dates, meetings, and what became of it. */
export function printLayout({ sequence, units, layout, meetings, covered }: LayoutToPrint): string {
  const titles = new Map(units.map((u) => [u.id, u.title]))
  const lessons = new Map(sequence.map((l) => [l.id, l]))
  return printCells([
    ['Unit', 'Number', 'Title', 'Kind', 'First meeting', 'Last meeting', 'Meetings', 'State'],
    ...layout.placements.map((p) => {
      const l = lessons.get(p.lessonId)
      const [first, last] = p.placed ? [p.slots[0], p.slots[p.slots.length - 1]] : []
      const state = p.placed
        ? covered.has(p.lessonId)
          ? 'covered'
          : 'planned'
        : p.because.why === 'let-go'
          ? 'left out'
          : p.because.why === 'not-covered'
            ? 'not covered'
            : p.because.why === 'not-ours'
              ? 'before this class began'
              : 'does not fit'
      return [
        (l && titles.get(l.unitId)) ?? '',
        l?.number ?? '',
        l?.title ?? '',
        l?.kind ?? '',
        first ? (meetings[first.meeting]?.on ?? '') : '',
        last ? (meetings[last.meeting]?.on ?? '') : '',
        p.placed ? String(p.halves / 2) : '',
        state,
      ]
    }),
  ])
}

import { addDays, mondayOf } from '#core/base'
import type { Instant, IsoDay } from '#core/base'
import type { Term } from '#core/calendar'
import type { DeskWork } from '#shared/contracts/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { sayTime, zoneNamed } from '~/shared/words/times'
import { meetingRows } from './meetingRows'

/** One line of a printed cell: a meeting with its lessons, a lost meeting, or work that falls due. */
export interface SheetLine {
  readonly on: IsoDay
  readonly kind: 'lesson' | 'free' | 'lost' | 'due'
  readonly text: string
}
export interface SheetWeek {
  readonly mondayOn: IsoDay
  readonly closures: readonly string[]
  readonly cells: readonly (readonly SheetLine[])[]
}
export interface SheetChoice {
  readonly withWork: boolean
  readonly forLearners: boolean
}

interface SheetOf {
  /** What falls due, of all classes. */
  readonly work: readonly DeskWork[]
  readonly zone: string
}

/**
 * A term as a table: a row for each week, a cell for each class. A learners' copy has no reasons, no held
 * work and nothing about what was left out.
 */
export function sheetWeeks(
  columns: readonly DeskColumn[],
  term: Pick<Term, 'firstOn' | 'lastOn'>,
  { work, zone, withWork, forLearners }: SheetChoice & SheetOf,
): SheetWeek[] {
  const weeks: SheetWeek[] = []
  const notes = columns[0]?.year?.notes ?? []
  for (let monday = mondayOf(term.firstOn); monday <= term.lastOn; monday = addDays(monday, 7)) {
    const sunday = addDays(monday, 6)
    const inTerm = (on: IsoDay) => term.firstOn <= on && on <= term.lastOn
    const closures = notes
      .filter(
        (n) => n.classIds.length === 0 && n.kind !== 'event' && n.fromOn <= sunday && n.throughOn >= monday,
      )
      .map((n) => n.name)
    weeks.push({
      mondayOn: monday,
      closures,
      cells: columns.map((c) =>
        cellOf(c, monday, {
          inTerm,
          work: withWork
            ? work.filter((w) => w.classId === c.of.id && (!forLearners || w.state === 'published'))
            : [],
          zone,
          forLearners,
        }),
      ),
    })
  }
  return weeks
}

interface CellOf {
  readonly inTerm: (on: IsoDay) => boolean
  readonly work: readonly DeskWork[]
  readonly zone: string
  readonly forLearners: boolean
}

function cellOf(
  column: DeskColumn,
  monday: IsoDay,
  { inTerm, work, zone, forLearners }: CellOf,
): SheetLine[] {
  const lines: SheetLine[] = []
  const closed = new Set(
    (column.year?.notes ?? [])
      .filter((n) => n.classIds.length === 0 && n.kind === 'closure')
      .map((n) => n.name),
  )
  for (const row of meetingRows(column, monday)) {
    if (!inTerm(row.on)) continue
    const lost = row.stretches.find((s) => s.kind === 'lost')
    if (lost) {
      // a day on which the whole school is closed stands beside the week already
      if (!closed.has(lost.lost.because))
        lines.push({
          on: row.on,
          kind: 'lost',
          text: forLearners ? 'no class' : `no class: ${lost.lost.because}`,
        })
      continue
    }
    const names = new Set(
      row.stretches.flatMap((s) => {
        const lesson = s.kind === 'stone' ? column.lessons.get(s.lessonId) : undefined
        return lesson && s.kind === 'stone'
          ? [
              s.starts || !lesson.number
                ? `${lesson.number} ${lesson.title}`.trim()
                : `${lesson.number} goes on`,
            ]
          : []
      }),
    )
    lines.push(
      names.size > 0
        ? { on: row.on, kind: 'lesson', text: [...names].join(' · ') }
        : { on: row.on, kind: 'free', text: forLearners ? '' : 'free' },
    )
  }
  return [...lines, ...dueLines(work, monday, zone).filter((l) => inTerm(l.on))].sort((a, b) =>
    a.on < b.on ? -1 : a.on > b.on ? 1 : Number(a.kind === 'due') - Number(b.kind === 'due'),
  )
}

/** What falls due in a week: work that is due at one moment shares a line, so that a full term keeps to its pages. */
function dueLines(work: readonly DeskWork[], monday: IsoDay, zone: string): SheetLine[] {
  const local = zoneNamed(zone)
  const titles = new Map<Instant, string[]>()
  for (const w of work) {
    if (w.dueAt === null) continue
    const held = w.state === 'held' ? ' (held)' : ''
    titles.set(w.dueAt, [...(titles.get(w.dueAt) ?? []), w.title + held])
  }
  return [...titles]
    .sort(([a], [b]) => a - b)
    .map(([dueAt, said]) => ({
      // what is due at midnight is due at the end of the day before
      on: local.local((dueAt - 1) as Instant).on,
      kind: 'due' as const,
      text: `due${local.local(dueAt).minuteOfDay === 0 ? '' : ` ${sayTime(dueAt, zone)}`}: ${said.join(' · ')}`,
    }))
    .filter((l) => monday <= l.on && l.on <= addDays(monday, 6))
}

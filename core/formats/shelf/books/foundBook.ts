import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { BookLesson, BookUnit } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { withInnerLinks } from './innerLinks'
import type { Place } from './innerLinks'
import { LONGEST_TEXT, plainReading } from '../plainPiece'
import type { ReadPiece, ShelfFormat, ShelfReading, ShelfRow } from '../types'

export interface FoundLesson {
  readonly title: string
  readonly pieces: readonly ReadPiece[]
  readonly number?: string
  readonly meetings?: number
  readonly kind?: BookLesson['kind']
}
export interface FoundUnit {
  readonly title: string
  readonly lessons: readonly FoundLesson[]
  readonly number?: string
}

/** As many lessons, and as many pieces, as a book may have. */
const MOST = 1000
const MOST_UNITS = 100
const MOST_IN_NUMBER = 12
/**
 * A textbook as it was found: units and lessons are counted from 1 where they bring no number, units without lessons
 * are left out. Refused when no lesson is left, or more than a book may have.
 */
export function readingOfBook(
  format: ShelfFormat,
  of: {
    readonly title: string
    /** Units, and lessons that stand in none. */
    readonly parts: readonly (FoundUnit | FoundLesson)[]
    /** Pieces that belong to no lesson. */
    readonly others: readonly ReadPiece[]
    readonly rows: readonly ShelfRow[]
    /** Where in the file each piece begins: links there lead to it. */
    readonly beginsAt?: ReadonlyMap<ReadPiece, Place>
  },
): Result<ShelfReading, FormatRefusal> {
  const units = gathered(of.title, of.parts).filter((u) => u.lessons.length > 0)
  const count = units.reduce((n, u) => n + u.lessons.length, 0)
  if (count === 0 && of.others.length === 0) return refuse({ code: 'formats/nothing-known', field: 'file' })
  const most = [
    [units.length, MOST_UNITS],
    [count, MOST],
    [units.reduce((n, u) => n + u.lessons.reduce((m, l) => m + l.pieces.length, 0), of.others.length), MOST],
  ] as const
  for (const [n, limit] of most)
    if (n > limit) return refuse({ code: 'formats/too-many-rows', field: 'text', count: n, most: limit })
  const title = short(of.title) || 'Textbook'
  const made = units.map(unitOf)
  const placed = [
    ...units.flatMap((unit, u) =>
      unit.lessons.flatMap((lesson, l) => lesson.pieces.map((piece) => [piece, idOf(u, l)] as const)),
    ),
    ...of.others.map((piece) => [piece, null] as const),
  ]
  const grade = placed[0]?.[0].grade ?? 8
  return ok({
    format,
    title,
    outsideId: null,
    standards: [],
    pieces: withInnerLinks(
      placed.map(([piece]) => piece),
      of.beginsAt ?? new Map<ReadPiece, Place>(),
    ),
    book: count === 0 ? null : { title, course: title.slice(0, 60), grade, units: made, benchmarks: [] },
    lessonOf: placed.map(([, lessonId]) => lessonId),
    rows: of.rows,
  })
}

/** Units; lessons that follow one another in none are one unit, which has the book's name. */
function gathered(title: string, parts: readonly (FoundUnit | FoundLesson)[]): readonly FoundUnit[] {
  const units: FoundUnit[] = []
  let alone: FoundLesson[] | null = null
  for (const part of parts) {
    if ('lessons' in part) {
      alone = null
      units.push(part)
    } else if (alone) alone.push(part)
    else {
      alone = [part]
      units.push({ title, lessons: alone })
    }
  }
  return units
}

const idOf = (unit: number, lesson: number) => `${unit + 1}.${lesson + 1}`

function unitOf(unit: FoundUnit, u: number): BookUnit {
  const number = (unit.number ?? String(u + 1)).slice(0, MOST_IN_NUMBER)
  const lessons = unit.lessons.map((lesson, l): BookLesson => ({
    id: idOf(u, l),
    number: (lesson.number ?? `${number}.${l + 1}`).slice(0, MOST_IN_NUMBER),
    title: short(lesson.title) || `Lesson ${l + 1}`,
    typicalMeetings: lesson.meetings ?? 1,
    kind: lesson.kind ?? 'lesson',
  }))
  return { number, title: short(unit.title) || `Unit ${number}`, lessons }
}

const short = (title: string) => title.replace(/\s+/g, ' ').trim().slice(0, 120)

/** A text as one reading, or as several parts where it is too long for one; none where it is empty. */
export function readingsOf(title: string, text: string, language: string): readonly ReadPiece[] {
  const parts = partsOf(withoutTitle(title, text))
  return parts.map((content, i) => {
    const named = parts.length === 1 ? title : `${title.slice(0, 100)}, part ${i + 1}`
    return plainReading({ title: named || 'Reading', content, language })
  })
}

/** A text without the heading with which it begins, where that says its title once more. */
function withoutTitle(title: string, text: string): string {
  const [first = '', ...rest] = text.trimStart().split('\n')
  const heading = /^#{1,6}\s(.*)/.exec(first)?.[1]?.trim().toLowerCase()
  return heading === title.trim().toLowerCase() ? rest.join('\n') : text
}

function partsOf(text: string): readonly string[] {
  const parts: string[] = []
  let rest = text.trim()
  while (rest.length > LONGEST_TEXT) {
    const cut = rest.lastIndexOf('\n\n', LONGEST_TEXT)
    const at = cut > LONGEST_TEXT / 2 ? cut : LONGEST_TEXT
    parts.push(rest.slice(0, at).trim())
    rest = rest.slice(at).trim()
  }
  return rest === '' ? parts : [...parts, rest]
}

import type { LessonId } from '../base'

/** A lesson that a moment may hang on, by the number that people write, such as "W2.4". */
export interface NamedLesson {
  readonly id: LessonId
  readonly number: string
  /** The title of its unit. */
  readonly unit?: string
}

/** The lesson's number, or the name of its unit, with which some words begin; '' when they begin with neither. */
export function nameAt(words: string, lessons: readonly NamedLesson[]): string {
  const names = lessons.flatMap(({ number, unit }) => [number.toLowerCase(), ...unitNames(number, unit)])
  const fitting = names.filter((name) => name !== '' && words.startsWith(name) && endsThere(words, name))
  return fitting.reduce((longest, name) => (name.length > longest.length ? name : longest), '')
}

/** The first and last lesson of a name: a lesson by its number, or all lessons of a unit. */
export function lessonsNamed(
  name: string,
  lessons: readonly NamedLesson[],
): { readonly first: LessonId; readonly last: LessonId } | null {
  const one = lessons.find((l) => l.number.toLowerCase() === name)
  if (one) return { first: one.id, last: one.id }
  const ofUnit = lessons.filter(({ number, unit }) => unitNames(number, unit).includes(name))
  const [first] = ofUnit
  const last = ofUnit.at(-1)
  return first && last ? { first: first.id, last: last.id } : null
}

/** How a unit is called: by what its lessons' numbers begin with, by its title, or by the title's first word. */
function unitNames(number: string, unit = ''): string[] {
  const title = unit.toLowerCase()
  const [word = ''] = title.split(/[\s:,]/)
  const prefix = number.includes('.') ? number.slice(0, number.lastIndexOf('.')).toLowerCase() : ''
  // a bare number would be taken for a day of the month
  return [title, word, prefix].filter((name) => /[a-z]/.test(name) && (name !== word || /\d/.test(word)))
}

/** Whether a name ends where its words do: "w2.1" is not the beginning of "w2.12". */
function endsThere(words: string, name: string): boolean {
  const [next = ''] = words.slice(name.length)
  return !/[\w.]/.test(next)
}

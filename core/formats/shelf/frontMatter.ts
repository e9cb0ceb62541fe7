import { parse } from 'yaml'
import type { ReadPiece } from './types'

/** Longer ones are none. */
const MOST_LETTERS = 4000

export interface FrontMatter {
  readonly told: Partial<Pick<ReadPiece, 'title' | 'minutes' | 'language' | 'standards' | 'grade'>>
  /** Names of what it says and is nothing here. */
  readonly unknown: readonly string[]
  readonly rest: string
}

/** What stands in YAML between two lines of `---` before a text: title, minutes, language, standards, grade. */
export function frontMatter(text: string): FrontMatter {
  const none = { told: {}, unknown: [], rest: text }
  if (!text.startsWith('---\n')) return none
  const end = text.indexOf('\n---', 3)
  const after = text.indexOf('\n', end + 1)
  if (end < 0 || end > MOST_LETTERS) return none
  const of = valuesIn(text.slice(4, end + 1))
  if (of === null) return none
  const named = Object.fromEntries(Object.entries(of).map(([key, value]) => [key.toLowerCase(), value]))
  const minutes = Number(named.minutes ?? named.duration)
  const grade = Number(named.grade)
  const language = String(named.language ?? named.lang ?? '')
  const [, tongue = ''] = /^([a-z]{2,3})(?:[-_].{1,20})?$/i.exec(language) ?? []
  const standards = listIn(named.standards ?? named.standard)
  return {
    told: {
      ...(typeof named.title === 'string' && named.title.trim() !== '' ? { title: named.title.trim() } : {}),
      ...(minutes >= 1 && minutes <= 300 ? { minutes: Math.round(minutes) } : {}),
      ...(tongue === '' ? {} : { language: tongue.toLowerCase() }),
      ...(grade >= 1 && grade <= 13 ? { grade: Math.round(grade) } : {}),
      ...(standards.length === 0 ? {} : { standards }),
    },
    unknown: Object.keys(of).filter((key) => !KNOWN.has(key.toLowerCase())),
    rest: after < 0 ? '' : text.slice(after + 1),
  }
}
const KNOWN: ReadonlySet<string> = new Set([
  ...['title', 'minutes', 'duration', 'language', 'lang', 'standard', 'standards', 'grade'],
])

function valuesIn(yaml: string): Readonly<Record<string, unknown>> | null {
  try {
    const value: unknown = parse(yaml, { maxAliasCount: 0 })
    return typeof value === 'object' && value !== null && !Array.isArray(value)
      ? (value as Readonly<Record<string, unknown>>)
      : null
  } catch {
    return null
  }
}

function listIn(value: unknown): readonly string[] {
  const all: readonly unknown[] = Array.isArray(value)
    ? value
    : typeof value === 'string'
      ? value.split(',')
      : []
  const texts = all.map((one) => String(one).trim()).filter((one) => one !== '' && one.length <= 40)
  return [...new Set(texts)].slice(0, 100)
}

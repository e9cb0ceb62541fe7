import { isWebAddress, NO_MATERIAL, RESOURCE_KINDS, RESOURCE_ROLES } from '../../../library'
import type { Criterion, Material, Resource, WordEntry } from '../../../library'
import type { ReadPiece } from '../types'

/** The file of a package in which stands what the format has no place for. */
export const ABOUT = 'about-piece.json'
const VERSION = 1

/** What of a piece other programs do not know, as JSON. Files that belong to it stay where they are. */
export function printAbout(piece: Resource): string {
  const { kind, role, grade, language, readingLevel, standards, minutes } = piece
  const { link, transcript, words, rubric } = piece.material
  const material = { link, transcript, words, rubric }
  const about = { version: VERSION, kind, role, minutes, grade, language, readingLevel, standards, material }
  return `${JSON.stringify(about, null, 1)}\n`
}

type Told = Partial<ReadPiece>
type Json = Readonly<Record<string, unknown>>

/** What such a file says of its piece: parts that are not what they should be are as if they were not there. */
export function readAbout(text: string): Told {
  const of = parsed(text)
  if (of?.version !== VERSION) return {}
  const kind = RESOURCE_KINDS.find((k) => k === of.kind)
  const role = RESOURCE_ROLES.find((r) => r === of.role)
  const [minutes, grade] = [numberIn(of.minutes, 1, 300), numberIn(of.grade, 1, 13)]
  const language = textIn(of.language, 20)
  const level = numberIn(of.readingLevel, 1, 13)
  return {
    ...(kind ? { kind } : {}),
    ...(role ? { role } : {}),
    ...(minutes === null ? {} : { minutes }),
    ...(grade === null ? {} : { grade }),
    ...(language ? { language } : {}),
    readingLevel: level,
    standards: listOf(of.standards, 100, (s) => textIn(s, 40)),
    material: materialIn(isJson(of.material) ? of.material : {}),
  }
}

function materialIn({ link, transcript, words, rubric }: Json): Material {
  const address = textIn(link, 500) ?? ''
  return {
    ...NO_MATERIAL,
    link: isWebAddress(address) ? address : '',
    transcript: textIn(transcript, 40_000) ?? '',
    words: listOf(words, 100, wordIn),
    rubric: listOf(rubric, 12, criterionIn),
  }
}

function wordIn(of: unknown): WordEntry | null {
  if (!isJson(of)) return null
  const word = textIn(of.word, 80)
  return word
    ? { word, meaning: textIn(of.meaning, 400) ?? '', example: textIn(of.example, 400) ?? '' }
    : null
}

function criterionIn(of: unknown): Criterion | null {
  if (!isJson(of)) return null
  const [name, points] = [textIn(of.name, 80), numberIn(of.points, 0, 100)]
  return name && points !== null ? { name, points, about: textIn(of.about, 600) ?? '' } : null
}

function parsed(text: string): Json | null {
  try {
    const value = JSON.parse(text) as unknown
    return isJson(value) ? value : null
  } catch {
    return null
  }
}
const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const textIn = (value: unknown, most: number) =>
  typeof value === 'string' && value.length <= most ? value : null
const numberIn = (value: unknown, least: number, most: number) =>
  typeof value === 'number' && value >= least && value <= most ? value : null
function listOf<T>(value: unknown, most: number, read: (of: unknown) => T | null): readonly T[] {
  if (!Array.isArray(value)) return []
  return value.slice(0, most).flatMap((of) => {
    const one = read(of)
    return one === null || one === '' ? [] : [one]
  })
}

import { NO_MATERIAL } from '../../../library'
import type { Criterion, Item } from '../../../library'
import type { ReadPiece } from '../types'

/** “2 points: names both forms”, or “Names both forms (2 points)”, with or without a mark of a list before. */
const MARK = /^(?:[-*•]|\d{1,2}[.)])\s+/
const BEFORE = /^(\d{1,3}(?:[.,]5)?)\s?(?:points?|pts?\.?|punkte?)\s?[:–-]\s?(\S.*)$/i
const BEHIND = /^(\S.*?)\s?[(:–-]\s?(\d{1,3}(?:[.,]5)?)\s?(?:points?|pts?\.?|punkte?)\)?\.?$/i
const LONGEST_NAME = 60
const MOST = 12

/**
 * The criteria that a guide for scoring lists, a line each with its points; none unless every line of it that is not
 * a heading says its points, and together they are what the question is worth.
 */
function criteriaIn(guide: string, points: number): readonly Criterion[] {
  const lines = guide
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '' && !line.endsWith(':') && !line.startsWith('#'))
  const found = lines.flatMap((line): readonly Criterion[] => {
    const plain = line.replace(MARK, '').slice(0, 500)
    const [, first, words] = BEFORE.exec(plain) ?? []
    const [, wordsBefore, last] = BEHIND.exec(plain) ?? []
    const [about, worth] = [words ?? wordsBefore ?? '', Number((first ?? last ?? '').replace(',', '.'))]
    return about !== '' && worth > 0 ? [{ name: nameOf(about), points: worth, about }] : []
  })
  const sum = found.reduce((total, c) => total + c.points, 0)
  return found.length >= 2 && found.length <= MOST && found.length === lines.length && sum === points
    ? found
    : []
}

/** The first words of what earns the points. */
function nameOf(about: string): string {
  const [first = about] = about.split(/[:;.,]\s/, 1)
  return first.length <= LONGEST_NAME ? first : `${first.slice(0, LONGEST_NAME - 1).trimEnd()}…`
}

/** What is different in a piece of one text whose guide lists points: it is a writing task with these criteria. */
export function asWritingTask(items: readonly Item[]): Partial<ReadPiece> {
  const [item, ...more] = items
  if (item?.kind !== 'extended' || more.length > 0) return {}
  const rubric = criteriaIn(item.guide, item.points)
  return rubric.length === 0 ? {} : { kind: 'writing-task', material: { ...NO_MATERIAL, rubric } }
}

import type { Facet, ResourceKind, ResourceRole, SearchOrder, Source } from '#core/library'
import { sayLanguage } from '~/shared/words/languages'
import { KIND_WORDS, ROLE_WORDS } from '~/shared/words/pieces'

export const FACET_WORDS: Record<Facet, string> = {
  kind: 'Kind',
  role: 'Use',
  grade: 'Grade',
  length: 'Minutes',
  source: 'From',
  scoring: 'Scoring',
  versions: 'Versions',
  level: 'Read by',
  language: 'Language',
}
export const ORDER_WORDS: Record<SearchOrder, string> = {
  fit: 'best fit first',
  title: 'by title',
  shortest: 'shortest first',
}
const LENGTH_WORDS: Readonly<Record<string, string>> = {
  'to-10': 'up to 10',
  'to-20': '11 to 20',
  'to-40': '21 to 40',
  longer: 'more than 40',
}
const SOURCE_WORDS: Record<Source, string> = { textbook: 'a textbook', school: 'our school', own: 'me' }
const SCORING_WORDS: Readonly<Record<string, string>> = {
  'self-scoring': 'scores itself',
  'by-hand': 'scored by you',
  'no-score': 'without a score',
}

/** A value by which a search is narrowed, in words. */
export function sayValue(facet: Facet, value: string): string {
  switch (facet) {
    case 'kind':
      return KIND_WORDS[value as ResourceKind]
    case 'role':
      return ROLE_WORDS[value as ResourceRole]
    case 'grade':
      return value
    case 'length':
      return LENGTH_WORDS[value] ?? value
    case 'source':
      return SOURCE_WORDS[value as Source]
    case 'scoring':
      return SCORING_WORDS[value] ?? value
    case 'versions':
      return value === 'versions' ? 'has versions' : 'no versions'
    case 'level':
      return value === 'unknown' ? 'not said' : `grade ${value}`
    case 'language':
      return sayLanguage(value)
  }
}

import { rightInWords } from '#core/library'
import type { ClassShelf, Facet, Item, ResourceKind, ResourceRole, WrittenPiece } from '#core/library'
import { sayPlain } from '~/shared/conflict/words'
import type { PartWords } from '~/shared/conflict/words'
import { sayLanguage } from '~/shared/words/languages'
import { sayList } from '~/shared/words/lists'
import { plainText } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'
import { KIND_WORDS, ROLE_WORDS } from '~/shared/words/pieces'
import { FACET_WORDS, sayValue } from './facets'

export const CLASS_SHELF_CONFLICT: PartWords<ClassShelf> = {
  label: ({ part, name }) => (part === 'filter' ? FACET_WORDS[name as Facet].toLowerCase() : 'a textbook'),
  value: ({ part, name }, value) => {
    if (part === 'bookIds') return value === undefined ? 'taken out' : 'there'
    if (value === undefined) return 'any'
    return sayList((value as readonly string[]).map((v) => sayValue(name as Facet, v)))
  },
}

const PARTS: Record<keyof WrittenPiece, string> = {
  code: 'short code',
  title: 'title',
  kind: 'kind',
  role: 'use',
  minutes: 'minutes',
  grade: 'grade',
  language: 'language',
  readingLevel: 'read by',
  standards: 'standard',
  content: 'text',
  material: 'material',
  items: 'a question',
}
const MATERIAL: Record<keyof WrittenPiece['material'], string> = {
  link: 'address',
  transcript: 'transcript',
  words: 'words',
  rubric: 'criteria',
  files: 'files',
}
export const PIECE_CONFLICT: PartWords<WrittenPiece> = {
  label: ({ part, name }) =>
    part === 'material' ? MATERIAL[name as keyof WrittenPiece['material']] : PARTS[part],
  value: ({ part, name }, value) => {
    if (value === undefined) return 'taken out'
    if (part === 'items') return sayItem(value as Item)
    if (part === 'kind') return KIND_WORDS[value as ResourceKind]
    if (part === 'role') return ROLE_WORDS[value as ResourceRole]
    if (part === 'language') return sayLanguage(String(value))
    if (part === 'material') return sayMaterial(name as keyof WrittenPiece['material'], value)
    return sayPlain(value)
  },
}

/** A question with what is right and what it is worth. */
function sayItem(item: Item): string {
  const right = rightInWords(item)
  return [plainText(item.stem), right ? `right: ${right}` : '', count(item.points, 'point')]
    .filter(Boolean)
    .join('\n')
}

function sayMaterial(part: keyof WrittenPiece['material'], value: unknown): string {
  const named = value as readonly { readonly name?: string; readonly word?: string }[]
  if (part === 'link' || part === 'transcript') return sayPlain(value)
  return sayList(named.map((v) => v.word ?? v.name ?? '').filter(Boolean)) || 'none'
}

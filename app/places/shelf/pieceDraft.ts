import { cardOfKind, NO_MATERIAL } from '#core/library'
import type { Criterion, KeptFile, Resource, ResourceKind, ResourceRole, WordEntry } from '#core/library'
import { newDraft, toDraft, toItems } from './itemDraft'
import type { ItemDraft } from './itemDraft'

/** A piece while it is being written: everything as typed. */
export interface PieceDraft {
  title: string
  code: string
  kind: ResourceKind
  role: ResourceRole
  minutes: number
  grade: number
  language: string
  /** Empty: nobody has said. */
  readingLevel: string
  standards: string[]
  content: string
  link: string
  transcript: string
  words: { -readonly [K in keyof WordEntry]: WordEntry[K] }[]
  rubric: { -readonly [K in keyof Criterion]: Criterion[K] }[]
  files: KeptFile[]
  items: ItemDraft[]
}

/** An empty piece. */
export function emptyPiece(): PieceDraft {
  return {
    title: '',
    code: '',
    kind: 'check',
    role: 'core',
    minutes: 10,
    grade: 8,
    language: 'en',
    readingLevel: '',
    standards: [],
    content: '',
    link: '',
    transcript: '',
    words: [],
    rubric: [],
    files: [],
    items: [newDraft()],
  }
}

/** A piece of the shelf as it is written again. */
export function toPieceDraft(piece: Resource): PieceDraft {
  const { title, code, kind, role, minutes, grade, language, readingLevel, standards, content } = piece
  const ofItems = new Set(piece.items.flatMap((i) => i.standard ?? []))
  return {
    title,
    code,
    kind,
    role,
    minutes,
    grade,
    language,
    readingLevel: readingLevel === null ? '' : String(readingLevel),
    standards: standards.filter((code) => !ofItems.has(code)),
    content,
    link: piece.material.link,
    transcript: piece.material.transcript,
    words: piece.material.words.map((w) => ({ ...w })),
    rubric: piece.material.rubric.map((c) => ({ ...c })),
    files: [...piece.material.files],
    items: piece.items.map(toDraft),
  }
}

/** The piece as it is sent: what its kind does not have stays behind. */
export function toWritten(draft: PieceDraft) {
  const { link, transcript, words, rubric, files, readingLevel, items, ...plain } = draft
  const card = cardOfKind(draft.kind)
  return {
    ...plain,
    readingLevel: readingLevel === '' ? null : Number(readingLevel),
    material: {
      ...NO_MATERIAL,
      files,
      ...(card.link !== null ? { link: link.trim() } : {}),
      ...(card.link === 'film' ? { transcript } : {}),
      ...(card.words !== null ? { words: words.filter((w) => w.word.trim() !== '') } : {}),
      ...(card.hasCriteria ? { rubric } : {}),
    },
    items: card.items === 'none' ? [] : toItems(items),
  }
}

/** With what the items of a kind begin, where it needs some. */
export function firstItems(kind: ResourceKind, items: ItemDraft[]): ItemDraft[] {
  const isUntouched = items.length === 0 || (items.length === 1 && items[0]?.stem.trim() === '')
  if (!isUntouched) return items
  const card = cardOfKind(kind)
  return card.items === 'needed' ? [newDraft(card.firstItem)] : []
}

import { isWebAddress, NO_MATERIAL } from '../../../library'
import { asId } from '../../../base'
import type { ItemId } from '../../../base'
import { textOf } from '../archive'
import type { Files } from '../archive'
import { toMarkdown } from '../html'
import { plainPiece } from '../plainPiece'
import type { ReadPiece, ShelfRow, Shortfall } from '../types'
import { xmlOf } from '../packageXml'
import { allOf, firstOf, textIn } from '../xml'
import type { Xml } from '../xml'
import { leftOutOf, linksFrom } from './chapters'
import { readingsOf } from './foundBook'
import { folderOf } from './path'
import { readQuestions } from './questions12'

/** What a resource of a cartridge comes to. */
export interface FoundPieces {
  readonly pieces: readonly ReadPiece[]
  readonly short: readonly Shortfall[]
  /** What becomes of the parts within it. */
  readonly rows?: readonly ShelfRow[]
}
export const none = (...short: readonly Shortfall[]): FoundPieces => ({ pieces: [], short })

/** Questions are a check, a bank is practice. */
export function questionsIn(files: Files, path: string, of: { title: string; isBank: boolean }): FoundPieces {
  const xml = xmlOf(files, path).value ?? null
  return xml
    ? readQuestions(xml, { title: of.title, kind: of.isBank ? 'practice-set' : 'check', where: path })
    : none({ code: 'not-readable', problem: path })
}

/** A page is a reading. */
export function pageIn(files: Files, path: string, title: string): FoundPieces {
  if (!/\.x?html?$/i.test(path))
    return none({ code: 'not-here', name: `file ${path.slice(folderOf(path).length)}` })
  const bytes = files.get(path)
  const text = bytes ? textOf(bytes) : null
  const page = text?.ok ? toMarkdown(text.value, linksFrom(path)) : null
  if (!page) return none({ code: bytes ? 'not-readable' : 'file-missing', problem: path })
  if (page.text === '') return none({ code: 'no-text' })
  return { pieces: readingsOf(title, page.text, 'en'), short: leftOutOf(page) }
}

/** A web link (CC 1.3, section 4.6): a title and a url. */
export function linkIn(files: Files, path: string, title: string): FoundPieces {
  const xml = xmlOf(files, path).value ?? null
  const link = xml ? (firstOf(xml, 'url')?.attributes.href ?? '') : ''
  if (!isWebAddress(link)) return none({ code: 'no-https', address: link.slice(0, 200) })
  const named = title || textIn(xml && firstOf(xml, 'title')) || link
  return {
    pieces: [plainPiece({ title: named, kind: 'link', minutes: 10, material: { ...NO_MATERIAL, link } })],
    short: [],
  }
}

/** As many points as a question may have. */
const MOST_POINTS = 100

/**
 * An assignment (CC 1.3, its extension of assignments): a text to be written, or a project where only files are to be
 * handed in. What is said to the teacher is the guide for scoring.
 */
export function assignmentIn(files: Files, path: string, title: string): FoundPieces {
  const xml = xmlOf(files, path).value ?? null
  if (!xml) return none({ code: files.has(path) ? 'not-readable' : 'file-missing', problem: path })
  const told = wordsIn(firstOf(xml, 'text'), path)
  const formats = allOf(xml, 'format').map((f) => f.attributes.type ?? '')
  const isWritten = formats.length === 0 || formats.some((type) => /text|html/i.test(type))
  const points = Number(firstOf(xml, 'gradable')?.attributes.points_possible ?? 1)
  const attached = allOf(xml, 'attachment').length
  const item = {
    id: asId<ItemId>('i1'),
    stem: isWritten ? 'Write your text.' : 'Hand in your work.',
    points: points >= 1 ? Math.min(MOST_POINTS, Math.round(points)) : 1,
    difficulty: 3,
    standard: null,
    feedback: '',
    hint: '',
    kind: 'extended',
    leastWords: 0,
    mostWords: 0,
    leastParagraphs: 0,
    guide: wordsIn(firstOf(xml, 'instructor_text'), path),
  } as const
  const piece = plainPiece({
    title: title || textIn(firstOf(xml, 'title')) || 'Assignment',
    kind: isWritten ? 'writing-task' : 'project',
    minutes: 30,
    content: told,
    items: [item],
  })
  return {
    pieces: [piece],
    short: attached > 0 ? [{ code: 'not-here', name: 'attached file' }] : [],
  }
}

function wordsIn(of: Xml | null, path: string): string {
  if (!of) return ''
  const text = textIn(of)
  const isHtml = /html/i.test(of.attributes.texttype ?? '')
  return isHtml ? (toMarkdown(text, linksFrom(path))?.text ?? '') : text
}

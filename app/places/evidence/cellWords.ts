import { bandOf } from '#core/evidence'
import type { Cell } from '#core/evidence'
import type { GridColumn } from '#shared/contracts/evidence'
import { percent } from '~/shared/words/numbers'

const WORDS: Record<Cell['state'], string> = {
  'not-for-them': '',
  'not-open': 'to come',
  'to-do': 'to do',
  'in-progress': 'at it',
  'handed-in': 'in',
  missing: 'missing',
}
/** What a cell says. */
export function textOf(c: Cell | undefined, of: GridColumn): string {
  if (!c) return ''
  if (c.ratio !== null) return percent(c.ratio)
  if (c.state === 'not-for-them' && of.excusedIds.includes(c.learnerId)) return 'left out'
  if (of.isRecommended && c.state === 'to-do') return 'free'
  if (!of.isRead || c.state !== 'handed-in') return WORDS[c.state]
  return of.takesFiles ? 'done' : 'read'
}
/** A piece by its title, with that of the work where it is one of several and called otherwise. */
export function sayPieceIn({ title, pieceTitle }: Pick<GridColumn, 'title' | 'pieceTitle'>): string {
  return pieceTitle === null || pieceTitle === title ? title : `${title}: ${pieceTitle}`
}
/** Below its pass mark. */
export function isBelow(c: Cell | undefined): boolean {
  return c?.passing === 'not-yet'
}

/** The ground on which it stands. */
export function toneOf(c: Cell | undefined): string {
  if (!c || c.ratio === null) return c?.state ?? ''
  return isBelow(c) ? 'low' : bandOf(c.ratio)
}
/** The same for who hears it. */
export function sayCell(name: string, of: GridColumn, c: Cell | undefined): string {
  const title = of.pieceTitle ?? of.title
  const tries = c && c.attempts > 1 ? `, ${c.attempts} tries` : ''
  const below = isBelow(c) ? `, below the pass mark of ${c?.passPercent} %` : ''
  const toScore = `${c?.toScore ? ', to score' : ''}${c?.toRelease ? ', to release' : ''}`
  const other = c?.isParallel ? ', another task' : ''
  const said = textOf(c, of) || 'not for them'
  return `${name}, ${title}: ${said}${toScore}${c?.late ? ', late' : ''}${other}${below}${tries}`
}

import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import type { InCell } from './placedCells'

/** Makes a list row of a piece something that can be dragged onto the desk; once for each element. */
export function holdPiece(element: HTMLElement | null, pieceId: string): void {
  if (!element || element.dataset.held === pieceId) return
  element.dataset.held = pieceId
  draggable({ element, getInitialData: () => ({ pieceId: element.dataset.held }) })
}

/** Makes a placed stone something that can be dragged to another day; what hangs on a lesson stays. */
export function holdStone(element: HTMLElement | null, of: InCell): void {
  if (!element) return
  held.set(element, of)
  if (element.dataset.held) return
  element.dataset.held = 'stone'
  draggable({
    element,
    canDrag: () => held.get(element)?.at.isByDays ?? false,
    getInitialData: () => ({ stone: held.get(element)?.stone, key: held.get(element)?.at.key }),
  })
}
/** What each element stands for by now: rows are drawn anew after every move. */
const held = new WeakMap<HTMLElement, InCell>()

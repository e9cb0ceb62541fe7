import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'

/** Makes a list row of a piece something that can be dragged onto the desk; once for each element. */
export function holdPiece(element: HTMLElement | null, pieceId: string): void {
  if (!element || element.dataset.held === pieceId) return
  element.dataset.held = pieceId
  draggable({ element, getInitialData: () => ({ pieceId: element.dataset.held }) })
}

import { relinked } from '../../../library'
import type { ReadPiece } from '../types'

/** A place within a package: a file, and an element of it, or its beginning. */
export interface Place {
  readonly path: string
  readonly at: string
}

/** Letters that end an address in Markdown, besides those that are written otherwise in any address. */
const encoded = (text: string) =>
  encodeURIComponent(text).replace(/[()'*]/g, (c) => `%${c.charCodeAt(0).toString(16)}`)
const nameOf = ({ path, at }: Place) => `${encoded(path)}#${encoded(at)}`

/** The address of a place while it is not known yet which piece it becomes. */
export const placeAddress = (place: Place): string => `place:${nameOf(place)}`

/**
 * Pieces whose links to other places of their file lead to the pieces that these have become, by their positions:
 * `taken:3`. Where nothing has become of a place, only the words of the link stay.
 * @param beginsAt where in the file each piece begins
 */
export function withInnerLinks(
  pieces: readonly ReadPiece[],
  beginsAt: ReadonlyMap<ReadPiece, Place>,
): readonly ReadPiece[] {
  const positions = new Map<string, number>()
  const know = (name: string, position: number) => {
    if (!positions.has(name)) positions.set(name, position)
  }
  for (const [position, piece] of pieces.entries()) {
    const place = beginsAt.get(piece)
    if (!place) continue
    know(nameOf(place), position)
    // an element that no line of the navigation names stands in the first piece of its file
    know(encoded(place.path), position)
  }
  return pieces.map((piece) => {
    const content = relinked(piece.content, 'place', (name) => {
      const [file = ''] = name.split('#', 1)
      const position = positions.get(name) ?? positions.get(file)
      return position === undefined ? null : `taken:${position}`
    })
    return content === piece.content ? piece : { ...piece, content }
  })
}

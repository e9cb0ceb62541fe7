import type { AssignmentId, PieceId, ResourceId } from '../base'

/** An address of a piece within a text: a link that leads to it, for those who may see it. */
const ADDRESS = /^piece:([\w-]{1,60})$/

/** The address by which a text leads to a piece. */
export const pieceAddress = (id: ResourceId): string => `piece:${id}`

/** The piece to which an address leads; null: it is another address. */
export function pieceAt(address: string): ResourceId | null {
  const id = ADDRESS.exec(address)?.[1]
  return id === undefined ? null : (id as ResourceId)
}

/** Where a learner reads a piece: in work of theirs, or in a textbook that is open to them as practice. */
export type PiecePlace =
  | { readonly kind: 'work'; readonly assignmentId: AssignmentId; readonly pieceId: PieceId }
  | { readonly kind: 'practice' }

/** Links of a kind of address; their words hold no bracket but behind a stroke. */
const LINKS = {
  taken: /\[((?:[^[\]\\]|\\.)*)\]\(taken:([^()\s]*)\)/g,
  place: /\[((?:[^[\]\\]|\\.)*)\]\(place:([^()\s]*)\)/g,
}

/**
 * A text whose links of a kind lead where they are now told to.
 * @param leads the new address of what stands behind the scheme; null: there is none, and only the words stay
 */
export function relinked(
  text: string,
  scheme: keyof typeof LINKS,
  leads: (rest: string) => string | null,
): string {
  return text.replace(LINKS[scheme], (_, words: string, rest: string) => {
    const address = leads(rest)
    return address === null ? words : `[${words}](${address})`
  })
}

import type { ResourceId, Result } from '#core/base'
import { PIECE_PARTS } from '#core/library'
import type { WrittenPiece } from '#core/library'
import { ChangePiece, LookInside } from '#shared/contracts/library'
import type { Inside } from '#shared/contracts/library'
import type { ReplyOf } from '#shared/contracts/contract'
import type { Refusal } from '#shared/contracts/refusal'
import { useCombining } from '~/shared/conflict/combining'
import type { Versioned } from '~/shared/conflict/combining'
import { call } from '~/shared/wire/call'
import { toPieceDraft, toWritten } from '../pieceDraft'
import { PIECE_CONFLICT } from '../words/conflicts'

/** A piece as it was opened to be changed. */
export type OpenedPiece = Versioned<WrittenPiece>

/** What stands of a piece, as its form would send it. */
export function openedAs({ resource, revision }: Inside): OpenedPiece {
  return { value: toWritten(toPieceDraft(resource)) as WrittenPiece, version: revision }
}

/** Sends a changed piece; what was changed in another window meanwhile is put together with it, or asked about. */
export function useChangePiece() {
  const combining = useCombining()
  type Changed = Result<ReplyOf<typeof ChangePiece>, Refusal> | null
  return async function changePiece(
    resourceId: ResourceId,
    { mine, opened }: { readonly mine: ReturnType<typeof toWritten>; readonly opened: OpenedPiece | null },
  ): Promise<Changed> {
    const params = { resourceId }
    const written = mine as WrittenPiece
    return combining({
      what: 'this piece',
      parts: PIECE_PARTS,
      words: PIECE_CONFLICT,
      seen: opened ?? { value: written, version: 1 },
      mine: written,
      send: (piece, { version }) =>
        call(ChangePiece, { params, body: { ...(piece as typeof mine), revision: version } }),
      current: async () => {
        const now = await call(LookInside, { params })
        return now.ok ? openedAs(now.value) : null
      },
    })
  }
}

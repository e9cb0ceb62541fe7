import type { PlacedStone } from '#core/placing'
import type { Refusal } from '#shared/contracts/refusal'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { STONES_PARTS, STONES_WORDS } from '../words/placedParts'

export type PlacedWork = Pick<PlacedStone, 'assignmentId' | 'version'>
export type PlacedReply =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly error: Refusal }

/** Acts on stones that a colleague may have changed since they were looked at. */
export function usePlacedMeant(placing: {
  readonly load: () => Promise<void>
  readonly stones: () => readonly PlacedStone[]
  /** As it stands by now: an own act before may have changed it. */
  readonly asItStands: (stone: PlacedStone) => PlacedStone
}) {
  const stillMeant = useStillMeant()
  return function meant(
    stones: readonly PlacedStone[],
    send: (works: readonly PlacedWork[]) => Promise<PlacedReply>,
  ): Promise<PlacedReply | null> {
    const ids = new Set(stones.map((s) => s.assignmentId))
    return stillMeant({
      what: stones.length === 1 ? 'this work' : 'some of this work',
      act: 'Do it all the same',
      parts: STONES_PARTS,
      words: STONES_WORDS,
      seen: { value: { stones: stones.map(placing.asItStands) }, version: 0 },
      send: ({ value }) => send(value.stones.map(({ assignmentId, version }) => ({ assignmentId, version }))),
      current: async () => {
        await placing.load()
        return { value: { stones: placing.stones().filter((s) => ids.has(s.assignmentId)) }, version: 0 }
      },
    })
  }
}

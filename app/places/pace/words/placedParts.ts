import type { Parts } from '#core/combining'
import type { PlacedStone } from '#core/placing'
import type { PartWords } from '~/shared/conflict/words'
import { sayList } from '~/shared/words/lists'
import { sayDay } from '~/shared/words/times'

/** Work that lies on days. */
export interface Stones {
  readonly stones: readonly PlacedStone[]
}
export const STONES_PARTS: Parts<Stones> = { stones: { nameOf: (stone) => stone.assignmentId } }

/** Each by its title, with its state and its days. */
export const STONES_WORDS: PartWords<Stones> = {
  label: (_, value) => `“${(value as PlacedStone).title}”`,
  value: (_, value) => {
    const stone = value as PlacedStone | undefined
    if (!stone) return 'no longer there'
    const days = [...new Set(stone.at.map((at) => at.opensOn))].sort().map(sayDay)
    return [stone.title, stone.state, sayList(days)].filter(Boolean).join(', ')
  },
}

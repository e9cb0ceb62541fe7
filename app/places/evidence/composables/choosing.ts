import { shallowRef } from 'vue'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import type { UserId } from '#core/base'

/** Cells chosen in the column of one piece, by their learners. */
export interface ChosenCells {
  readonly piece: NamedPiece
  readonly learnerIds: readonly UserId[]
}

/** Choosing cells of the grid: one, or with Ctrl several of the same column; pressed again, it is let go. */
export function useChoosing() {
  const chosen = shallowRef<ChosenCells | null>(null)

  function choose(piece: NamedPiece, learnerId: UserId, isMore: boolean): void {
    const isSame = chosen.value !== null && pieceName(chosen.value.piece) === pieceName(piece)
    const before = isSame ? (chosen.value?.learnerIds ?? []) : []
    const isIn = before.includes(learnerId)
    const kept = isMore ? before.filter((id) => id !== learnerId) : []
    // one of several, pressed without Ctrl, stays alone
    const isLetGo = isIn && (isMore || before.length === 1)
    const learnerIds = isLetGo ? kept : [...kept, learnerId]
    chosen.value = learnerIds.length > 0 ? { piece, learnerIds } : null
  }
  const letGo = () => {
    chosen.value = null
  }
  return { chosen, choose, letGo }
}

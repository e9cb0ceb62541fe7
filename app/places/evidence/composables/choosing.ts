import { nextTick, ref, shallowRef } from 'vue'
import type { Ref } from 'vue'
import type { UserId } from '#core/base'
import type { ClassGrid, GridColumn } from '#shared/contracts/evidence'

/** Cells chosen in one column, by their learners. */
export interface ChosenInColumn {
  readonly column: GridColumn
  readonly learnerIds: readonly UserId[]
}

const isSame = (a: GridColumn, b: GridColumn) => a.assignmentId === b.assignmentId && a.pieceId === b.pieceId

/** Choosing cells of the grid: one, or with Ctrl several of the same column; pressed again, it is let go. */
export function useChoosing() {
  const chosen = shallowRef<ChosenInColumn | null>(null)

  function choose(column: GridColumn, learnerId: UserId, isMore: boolean): void {
    const before = chosen.value && isSame(chosen.value.column, column) ? chosen.value.learnerIds : []
    const isIn = before.includes(learnerId)
    const others = before.filter((id) => id !== learnerId)
    const next = isMore
      ? [...others, ...(isIn ? [] : [learnerId])]
      : isIn && others.length === 0
        ? []
        : [learnerId]
    chosen.value = next.length > 0 ? { column, learnerIds: next } : null
  }
  const letGo = () => {
    chosen.value = null
  }
  return { chosen, choose, letGo }
}

const STEPS: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** One stop for the Tab key in the whole grid; arrows move it from cell to cell. */
export function useGridKeys(grid: Ref<ClassGrid>) {
  const at = ref<readonly [row: number, column: number]>([0, 0])
  const isStop = (row: number, column: number) => at.value[0] === row && at.value[1] === column

  async function move(event: KeyboardEvent): Promise<void> {
    const step = STEPS[event.key]
    if (!step) return
    event.preventDefault()
    const clamp = (n: number, most: number) => Math.min(Math.max(0, n), most - 1)
    const { learners, columns } = grid.value
    at.value = [clamp(at.value[0] + step[0], learners.length), clamp(at.value[1] + step[1], columns.length)]
    await nextTick()
    const table = (event.currentTarget as HTMLElement).closest('table')
    const cell = table?.querySelector<HTMLElement>('[data-cell][tabindex="0"]')
    cell?.focus()
  }
  const stopAt = (row: number, column: number) => {
    at.value = [row, column]
  }
  return { isStop, move, stopAt }
}

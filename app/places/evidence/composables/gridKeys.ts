import { nextTick, ref } from 'vue'
import type { Ref } from 'vue'
import type { ClassGrid } from '#shared/contracts/evidence'

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

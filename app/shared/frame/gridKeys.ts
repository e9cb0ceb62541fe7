import { nextTick, readonly, ref } from 'vue'

const STEPS: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
}

/** One stop for the Tab key in a whole table of cells; arrows move it from cell to cell. */
export function useGridKeys(size: () => { readonly rows: number; readonly columns: number }) {
  const at = ref<readonly [row: number, column: number]>([0, 0])
  const isStop = (row: number, column: number) => at.value[0] === row && at.value[1] === column
  /** The column of the stop when it is in a row. */
  const columnIn = (row: number) => (at.value[0] === row ? at.value[1] : null)

  async function move(event: KeyboardEvent): Promise<void> {
    const step = STEPS[event.key]
    if (!step) return
    event.preventDefault()
    // asked for before the wait: an event knows its target only while it is being handled
    const table = (event.currentTarget as HTMLElement).closest('table')
    const clamp = (n: number, most: number) => Math.min(Math.max(0, n), most - 1)
    const { rows, columns } = size()
    at.value = [clamp(at.value[0] + step[0], rows), clamp(at.value[1] + step[1], columns)]
    await nextTick()
    const cell = table?.querySelector<HTMLElement>('[data-cell][tabindex="0"]')
    cell?.focus()
  }
  const stopAt = (row: number, column: number) => {
    at.value = [row, column]
  }
  return { at: readonly(at), isStop, columnIn, move, stopAt }
}

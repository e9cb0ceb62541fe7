import { useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import type { TableSeen } from '#core/formats'

type Positions = Readonly<Record<string, number>>

/** By what a table is known again: its headings, or how many columns it has. */
function nameOf({ head, sample }: TableSeen): string {
  return head.length > 0 ? head.join('|').toLowerCase() : `${sample[0]?.length ?? 0} columns`
}

/** Which column is what, as somebody said it: kept in this browser for the next table with the same headings. */
export function useColumnsKept(kind: string) {
  const kept = useLocalStorage<Record<string, Positions>>(`columns:${kind}`, {})
  const chosen = ref<Positions | null>(null)

  /** What was said of such a table before, where it was taken otherwise now; null: nothing. */
  function known(table: TableSeen): Positions | null {
    const before = kept.value[nameOf(table)]
    if (chosen.value !== null || !before) return null
    const isTakenSo = Object.entries(before).every(([name, at]) => name === 'headed' || table.at[name] === at)
    return isTakenSo ? null : before
  }
  function choose(table: TableSeen, at: Positions): void {
    chosen.value = at
    kept.value = { ...kept.value, [nameOf(table)]: at }
  }
  return { chosen, known, choose }
}

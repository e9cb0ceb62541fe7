import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { Busy } from '#ports'

/**
 * Lets only so many slow works run at once, the others in their order; refused when too many wait. What takes a
 * processor for a tenth of a second must not take all of them from everybody else.
 */
export function inTurn({ atOnce, waiting }: { readonly atOnce: number; readonly waiting: number }) {
  const queue: (() => void)[] = []
  let running = 0

  async function take<T>(work: () => Promise<T>): Promise<Result<T, Busy>> {
    if (running >= atOnce) {
      if (queue.length >= waiting) return refuse({ code: 'access/busy' })
      await new Promise<void>((start) => queue.push(start))
    } else running++
    try {
      return ok(await work())
    } finally {
      const next = queue.shift()
      if (next) next()
      else running--
    }
  }

  return { take, waiting: () => queue.length, isFull: () => running >= atOnce && queue.length >= waiting }
}

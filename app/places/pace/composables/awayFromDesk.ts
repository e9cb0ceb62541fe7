import { ok } from '#core/base'
import type { Result, YearId } from '#core/base'
import type { PacingCommand } from '#core/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { isStill } from '../desk/moves'
import { useDesk } from '../stores/desk'
import { useRipple } from '../stores/ripple'
import { useOutcome } from './outcome'

/**
 * Planning acts on pages other than the desk: made at once when no lesson moves by them, otherwise looked at
 * first.
 */
export function useAwayFromDesk() {
  const desk = useDesk()
  const ripple = useRipple()
  const tellOutcome = useOutcome()

  /** 'made', or 'looked-at' when its ripple is open now; or why it cannot be. */
  async function propose(
    change: PacingCommand,
    yearId: YearId,
    cause: string,
  ): Promise<Result<'made' | 'looked-at', Refusal>> {
    await desk.load(true)
    const after = desk.year?.id === yearId ? desk.after(change) : null
    if (after && !isStill(desk.columns, desk.columnsOf(after), null)) {
      await ripple.open(change, cause, after)
      return ok('looked-at')
    }
    const reply = await desk.act(change)
    if (!reply.ok) return reply
    tellOutcome(reply)
    return ok('made')
  }

  return { propose }
}

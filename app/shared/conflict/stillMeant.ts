import { combine } from '#core/combining'
import type { Parts } from '#core/combining'
import type { Result } from '#core/base'
import type { Refusal } from '#shared/contracts/refusal'
import { useDialogs } from '~/shared/frame/dialogs'
import type { Versioned } from './combining'
import StillMeant from './StillMeant.vue'
import { capital, labelOf, sayWho } from './words'
import type { PartWords } from './words'

/** An act on something that somebody else may have changed since it was looked at. */
export interface ActOn<Value, Reply> {
  /** 'this work'. */
  readonly what: string
  /** 'Withdraw it'. */
  readonly act: string
  readonly parts: Parts<Value>
  readonly words: PartWords<Value>
  readonly seen: Versioned<Value>
  readonly send: (seen: Versioned<Value>) => Promise<Result<Reply, Refusal>>
  readonly current: () => Promise<Versioned<Value> | null>
}

/**
 * Does an act; where somebody else changed what it is about, it says what was seen and what stands now, and asks
 * whether it is meant all the same. Answers null where it was left.
 */
export function useStillMeant() {
  const open = useDialogs()
  return async function act<Value extends object, Reply>(
    of: ActOn<Value, Reply>,
  ): Promise<Result<Reply, Refusal> | null> {
    const first = await of.send(of.seen)
    if (first.ok || first.error.code !== 'access/changed-meanwhile') return first
    const now = await of.current()
    if (!now) return first
    const three = { seen: of.seen.value, mine: of.seen.value, theirs: now.value }
    const { taken } = combine(of.parts, three)
    const rows = taken.map((t) => ({
      label: capital(labelOf(of.words, t)),
      was: of.words.value(t, t.mine),
      is: of.words.value(t, t.theirs),
    }))
    const isMeant = await open<boolean, typeof StillMeant>(StillMeant, {
      title: `${capital(sayWho(first.error.by))} changed ${of.what} meanwhile`,
      rows: rows.filter((row) => row.was !== row.is),
      isAsSeen: taken.length === 0,
      act: of.act,
    })
    return isMeant === true ? of.send(now) : null
  }
}

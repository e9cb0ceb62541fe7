import { combine } from '#core/combining'
import type { Combined, Parts, Side } from '#core/combining'
import type { ChangedBy } from '#core/access'
import type { Result } from '#core/base'
import type { Refusal } from '#shared/contracts/refusal'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { sayList } from '~/shared/words/lists'
import BothValues from './BothValues.vue'
import { capital, labelOf, sayWho } from './words'
import type { PartWords } from './words'

/** A value as it stands, with the count of its changes where there is one. */
export interface Versioned<Value> {
  readonly value: Value
  readonly version: number
}

/** A change that somebody else may have come before. */
export interface Change<Value, Reply> {
  /** 'these headings'. */
  readonly what: string
  readonly parts: Parts<Value>
  readonly words: PartWords<Value>
  readonly seen: Versioned<Value>
  readonly mine: Value
  readonly send: (mine: Value, seen: Versioned<Value>) => Promise<Result<Reply, Refusal>>
  /** As it stands now; null: it cannot be had. */
  readonly current: () => Promise<Versioned<Value> | null>
}

/** More colleagues at once than anybody has. */
const MOST_ROUNDS = 8

/**
 * Saves a change; where somebody else was first, both are put together, and where both made something different of the
 * same, both values are shown and whose stands is asked. Answers null where it was left: nothing is saved, and what was
 * written stays.
 */
export function useCombining() {
  const open = useDialogs()
  const tell = useTell()

  async function ask<Value, Reply>(
    { what, words }: Change<Value, Reply>,
    { clashes, taken }: Combined<Value>,
    by: ChangedBy | null,
  ): Promise<ReadonlyMap<string, Side> | null> {
    const rows = clashes.map((c) => ({
      id: c.id,
      label: capital(labelOf(words, c)),
      mine: words.value(c, c.mine),
      theirs: words.value(c, c.theirs),
    }))
    const also = sayList([...new Set(taken.map((t) => labelOf(words, t)))])
    return open<ReadonlyMap<string, Side>, typeof BothValues>(BothValues, {
      who: sayWho(by),
      what,
      rows,
      also,
    })
  }

  return async function save<Value extends object, Reply>(
    change: Change<Value, Reply>,
  ): Promise<Result<Reply, Refusal> | null> {
    let { seen, mine } = change
    const added = new Set<string>()
    for (let round = 0; ; round++) {
      const reply = await change.send(mine, seen)
      if (reply.ok && added.size > 0) tell.done(`Saved, with what changed meanwhile: ${sayList([...added])}`)
      if (reply.ok || reply.error.code !== 'access/changed-meanwhile' || round === MOST_ROUNDS) return reply
      const theirs = await change.current()
      if (!theirs) return reply
      const three = { seen: seen.value, mine, theirs: theirs.value }
      const both = combine(change.parts, three)
      const choices = both.clashes.length > 0 ? await ask(change, both, reply.error.by) : new Map()
      if (!choices) return null
      for (const taken of both.taken) added.add(capital(labelOf(change.words, taken)))
      mine = combine(change.parts, three, choices).value
      seen = theirs
    }
  }
}

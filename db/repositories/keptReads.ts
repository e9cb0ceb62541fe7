import type { AssignmentId, Instant, ResourceId } from '#core/base'
import type { Resource } from '#core/library'
import type { Assignment } from '#core/work'
import type { Connection } from './store'

/** What a list shows of a form of a piece. */
export interface FormInShort {
  readonly resourceId: ResourceId
  readonly revision: number
  readonly title: string
  readonly kind: Resource['kind']
  readonly minutes: number
  readonly itemCount: number
}

/** When the pieces of an assignment have closed for everybody, by `pieceName`, as its terms were last written. */
export interface KeptClosings {
  readonly settled: number
  readonly closings: ReadonlyMap<string, Instant | null>
}

interface Kept {
  readonly assignments: Shelf<AssignmentId, Assignment>
  /** By `formName`. */
  readonly forms: Shelf<string, Resource>
  readonly formsInShort: Shelf<string, FormInShort>
  readonly closings: Shelf<AssignmentId, KeptClosings>
}

const keptFor = new WeakMap<Connection, Kept>()

/**
 * Keeps what was read by a connection that sees only what is committed: assignments, which are the same while their
 * version is, and forms of pieces, which never change. Work is looked at a thousand times for each time it is changed.
 */
export function keepReads(reader: Connection): void {
  keptFor.set(reader, {
    assignments: shelf(500),
    forms: shelf(500),
    formsInShort: shelf(20_000),
    closings: shelf(5000),
  })
}

/** What is kept for a connection; nothing for a transaction, which may have changed what it reads. */
export function keptBy(tx: Connection): Kept | null {
  return keptFor.get(tx) ?? null
}

interface Shelf<K, V> {
  readonly get: (key: K) => V | undefined
  readonly keep: (key: K, value: V) => void
}

function shelf<K, V>(most: number): Shelf<K, V> {
  const held = new Map<K, V>()
  return {
    get: (key) => held.get(key),
    keep: (key, value) => {
      // the one that was taken in first goes first
      if (held.size >= most && !held.has(key)) held.delete(held.keys().next().value as K)
      held.set(key, value)
    },
  }
}

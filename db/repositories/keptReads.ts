import type { AssignmentId, Instant, ResourceId, SchoolId, UserId } from '#core/base'
import type { PieceFacts, Resource } from '#core/library'
import type { Assignment } from '#core/work'
import { keptAtMost } from '../keptAtMost'
import type { KeptAtMost } from '../keptAtMost'
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

/** What a search looks at of a piece. */
export interface KeptFacts {
  readonly schoolId: SchoolId | null
  readonly ownerId: UserId | null
  readonly isShared: boolean
  /** As everybody sees it who did not write it; in the order of the books. */
  readonly seen: PieceFacts
}
/** All pieces by their names in the index, as they were at a stamp. */
export interface FactsAtStamp {
  readonly stamp: number
  readonly byDoc: ReadonlyMap<number, KeptFacts>
}

interface Kept {
  facts: FactsAtStamp | null
  readonly assignments: KeptAtMost<AssignmentId, Assignment>
  /** By `formName`. */
  readonly forms: KeptAtMost<string, Resource>
  readonly formsInShort: KeptAtMost<string, FormInShort>
  readonly closings: KeptAtMost<AssignmentId, KeptClosings>
}

const keptFor = new WeakMap<Connection, Kept>()

/**
 * Keeps what was read by a connection that sees only what is committed: assignments, which are the same while their
 * version is, and forms of pieces, which never change. Work is looked at a thousand times for each time it is changed.
 */
export function keepReads(reader: Connection): void {
  keptFor.set(reader, {
    facts: null,
    assignments: keptAtMost(500),
    forms: keptAtMost(500),
    formsInShort: keptAtMost(20_000),
    closings: keptAtMost(5000),
  })
}

/** What is kept for a connection; nothing for a transaction, which may have changed what it reads. */
export function keptBy(tx: Connection): Kept | null {
  return keptFor.get(tx) ?? null
}

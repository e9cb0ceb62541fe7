import { ok, refuse } from '#core/base'
import type { AssignmentId, ItemId, PieceId, Result, UserId } from '#core/base'
import { countedRatio } from '#core/attempts'
import type { Correction } from '#core/attempts'
import type { Teacher } from '#core/access'
import type { Item } from '#core/library'
import { draftOf, faultInCorrection, withCorrection } from '#core/work'
import type { Assignment } from '#core/work'
import { formName, learnersOf, piecesIn } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { rescoredTries } from '../settling/rescore'
import { writeDown } from './steps'
import { workAt } from './workFor'
import type { WorkInReach } from './workFor'
import { changeAssignment, openWorkSession } from './workSession'
import type { WorkActRefusal } from './workSession'

/** How a question is put right; `as-given`: what was put right is taken back. */
export type Mending =
  { readonly kind: 'key'; readonly item: Item } | { readonly kind: 'dropped' | 'credit' | 'as-given' }

interface ToRegrade {
  readonly assignmentId: AssignmentId
  readonly version: number
  readonly pieceId: PieceId
  readonly itemId: ItemId
  readonly mending: Mending
}

/** A try whose score is another by what is right now; ratios from 0 to 1, null: a person has yet to score it. */
export interface ScoreChanged {
  readonly learnerId: UserId
  readonly name: string
  readonly number: number
  readonly before: number | null
  readonly after: number | null
}
export type Regraded = Result<
  { readonly tries: number; readonly changes: readonly ScoreChanged[] },
  WorkActRefusal
>

/** What putting a question right would change, score by score; nothing is kept. */
export async function previewRegrade(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: ToRegrade,
): Promise<Regraded> {
  const tx = deps.store.read
  const found = await wholeWork(tx, actor, input)
  if (!found.ok) return found
  const next = await mended(tx, found.value.assignment, input)
  return next.ok ? changesBy(tx, found.value, next.value, input.pieceId) : next
}

/**
 * Puts a question of a piece right for all who were given it, and scores their tries anew; who is at it is scored so
 * when they hand in. Written down, so that it can be taken back. Who teaches only some of the work's classes cannot.
 */
export async function regrade(deps: Deps, actor: Teacher, input: ToRegrade): Promise<Regraded> {
  return writing(deps.store, async (tx): Promise<Regraded> => {
    const found = await wholeWork(tx, actor, input)
    if (!found.ok) return found
    const next = await mended(tx, found.value.assignment, input)
    if (!next.ok) return next
    const changes = await changesBy(tx, found.value, next.value, input.pieceId)
    if (!changes.ok) return changes
    const done = await changeAssignment(openWorkSession(tx, deps, actor), found.value, draftOf(next.value))
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: 'regraded', done: [done.value] })
    return changes
  })
}

/** The work, for who teaches all whom it goes to: whose score changes is named. */
async function wholeWork(
  tx: Connection,
  actor: Teacher,
  input: ToRegrade,
): Promise<Result<WorkInReach, WorkActRefusal>> {
  const found = await workAt(tx, actor, input)
  if (!found.ok || found.value.reach === 'whole') return found
  return refuse({ code: 'work/not-whole', field: 'pieces' })
}

/** Work with a question put right. */
async function mended(
  tx: Connection,
  assignment: Assignment,
  { pieceId, itemId, mending }: ToRegrade,
): Promise<Result<Assignment, WorkActRefusal>> {
  const piece = assignment.pieces.find((p) => p.id === pieceId)
  const form = piece && (await piecesIn(tx, [piece])).get(formName(piece))
  const item = form?.items.find((i) => i.id === itemId)
  if (!piece || !item) return refuse({ code: 'access/not-found', what: 'item' })
  const of = { itemId, revision: piece.revision }
  const correction = correctionBy(of, mending)
  const fault = correction && faultInCorrection(item, correction)
  if (fault) return refuse(fault)
  const pieces = assignment.pieces.map((p) => (p.id === pieceId ? withCorrection(p, of, correction) : p))
  return ok({ ...assignment, pieces })
}

function correctionBy(of: Pick<Correction, 'itemId' | 'revision'>, mending: Mending): Correction | null {
  if (mending.kind === 'as-given') return null
  return mending.kind === 'key' ? { ...of, ...mending } : { ...of, kind: mending.kind }
}

async function changesBy(
  tx: Connection,
  { assignment: before, goesTo }: WorkInReach,
  after: Assignment,
  pieceId: PieceId,
): Promise<Regraded> {
  const tries = await rescoredTries(tx, before, after, pieceId)
  if (tries.some((t) => t.after.of === 0)) return refuse({ code: 'work/nothing-left', field: 'pieces' })
  const people = [...(await learnersOf(tx, goesTo)).values()].flat()
  const nameOf = new Map(people.map((l) => [l.id, l.name]))
  const changes = tries
    .map(({ attempt, before: was, after: is }): ScoreChanged => {
      const { learnerId, number } = attempt
      const name = nameOf.get(learnerId) ?? ''
      return { learnerId, name, number, before: countedRatio(was), after: countedRatio(is) }
    })
    .filter((c) => c.before !== c.after)
    .sort((a, b) => a.name.localeCompare(b.name) || a.number - b.number)
  return ok({ tries: tries.length, changes })
}

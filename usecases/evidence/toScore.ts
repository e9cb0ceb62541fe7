import { groupBy, ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, ClassId, ItemId, PieceId, Result, UserId } from '#core/base'
import { criteriaFor } from '#core/attempts'
import type { Attempt } from '#core/attempts'
import type { AccessRefusal, Actor } from '#core/access'
import type { AnswerToScore, KeptComment } from '#core/evidence'
import { forLearner, isOmitted, isScoredByHand } from '#core/library'
import type { Answer } from '#core/library'
import { isSupportItem } from '#core/versions'
import type { Assignment, WorkPiece } from '#core/work'
import {
  answersOf,
  attemptsOf,
  commentsOf,
  draftsOf,
  formName,
  learnerWorkOf,
  learnersOf,
  piecesIn,
} from '#db/repositories'
import type { Connection, DraftRecord } from '#db/repositories'
import type { Deps } from '../deps'
import { expectedIn, givenPiece } from '../learning/givenPiece'
import type { GivenPiece } from '../learning/givenPiece'
import { settleOverdue } from '../learning/settleOverdue'
import { classFor } from '../teaching/classAccess'
import { workFor } from '../work/workFor'

/** Answers of one class to one piece. */
export interface OfClass {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly classId: ClassId
}

interface Queue {
  readonly title: string
  readonly className: string
  /** What the piece shows before it asks. */
  readonly content: string
  readonly answers: readonly AnswerToScore[]
  /** The asker's own, the latest first. */
  readonly comments: readonly KeptComment[]
  /** Who has the piece, and nothing written for it. */
  readonly without: readonly { readonly id: UserId; readonly name: string }[]
}

/** The work, its piece and the class's name, for who may see both. */
export async function pieceOfClass(
  tx: Connection,
  actor: Actor,
  input: OfClass,
): Promise<Result<{ assignment: Assignment; piece: WorkPiece; className: string }, AccessRefusal>> {
  const found = await workFor(tx, actor, input.assignmentId)
  if (!found.ok) return found
  const ofClass = await classFor(tx, actor, input.classId, 'see')
  if (!ofClass.ok) return ofClass
  const { assignment } = found.value
  const piece = assignment.pieces.find((p) => p.id === input.pieceId)
  if (!piece) return refuse({ code: 'access/not-found', what: 'piece' })
  return ok({ assignment, piece, className: ofClass.value.name })
}

/** Answers of one class to a piece that a person scores, with what was given and released so far, by name. */
export async function listToScore(
  deps: Deps,
  actor: Actor,
  input: OfClass,
): Promise<Result<Queue, AccessRefusal>> {
  const tx = deps.store.read
  const found = await pieceOfClass(tx, actor, input)
  if (!found.ok) return found
  await settleOverdue(deps, { assignmentIds: [input.assignmentId] })
  const { assignment, piece, className } = found.value
  const form = (await piecesIn(tx, [piece])).get(formName(piece))
  const own = form?.title ?? assignment.title
  return ok({
    title: assignment.pieces.length > 1 ? `${assignment.title}: ${own}` : assignment.title,
    className,
    content: form?.content ?? '',
    answers: await answersToScore(tx, input),
    comments: await commentsOf(tx, actor.userId),
    without: await withoutText(tx, input),
  })
}

async function withoutText(tx: Connection, of: OfClass): Promise<Queue['without']> {
  const isOfPiece = (r: { readonly pieceId: PieceId }) => r.pieceId === of.pieceId
  const tries = (await attemptsOf(tx, [of.assignmentId])).filter(isOfPiece)
  const begun = new Set(tries.map((t) => t.learnerId))
  const rows = (await learnerWorkOf(tx, [of.assignmentId])).filter(isOfPiece)
  const open = new Set(
    rows.filter((r) => r.classId === of.classId && !begun.has(r.learnerId)).map((r) => r.learnerId),
  )
  const people = (await learnersOf(tx, [of.classId])).get(of.classId) ?? []
  return people.filter((p) => open.has(p.id)).map(({ id, name }) => ({ id, name }))
}

/** The same answers, for acts on all of them. */
export async function answersToScore(tx: Connection, of: OfClass): Promise<readonly AnswerToScore[]> {
  const rows = await learnerWorkOf(tx, [of.assignmentId])
  const inClass = new Set(rows.filter((r) => r.classId === of.classId).map((r) => r.learnerId))
  const tries = (await attemptsOf(tx, [of.assignmentId])).filter(
    (t) => t.pieceId === of.pieceId && t.score !== null && inClass.has(t.learnerId),
  )
  const people = (await learnersOf(tx, [of.classId])).get(of.classId) ?? []
  const names = new Map(people.map((p) => [p.id, p.name]))
  const answers = await answersOf(
    tx,
    tries.map((t) => t.id),
  )
  // what a team handed in together is read once
  const together = groupBy(tries, draftedAt)
  const records = await draftsOf(tx, [...together.keys()])
  const drafts = new Map(records.map((d) => [nameOf(d.attemptId, d.itemId), d]))
  const lists = await Promise.all(
    [...together.values()].map(async (team) => {
      const [first] = team as [Attempt, ...Attempt[]]
      const name = team.map((t) => names.get(t.learnerId) ?? '').sort()
      const given = await givenPiece(tx, first)
      return toScoreIn(first, name.join(', '), { given, answers: answers.get(first.id), drafts })
    }),
  )
  return lists.flat().sort((a, b) => a.name.localeCompare(b.name) || a.number - b.number)
}

interface Written {
  readonly given: GivenPiece
  readonly answers: ReadonlyMap<ItemId, Answer> | undefined
  readonly drafts: ReadonlyMap<string, DraftRecord>
}

function toScoreIn(
  attempt: Attempt,
  name: string,
  { given: { resource, support, isParallel }, answers, drafts }: Written,
): readonly AnswerToScore[] {
  const filledIn = resource.items.filter(isSupportItem).flatMap((item) => {
    const answer = answers?.get(item.id)
    return answer && !isOmitted(answer) ? [{ item: forLearner(item), answer }] : []
  })
  const expected = expectedIn({ resource, support })
  return resource.items.filter(isScoredByHand).flatMap((item) => {
    const answer = answers?.get(item.id)
    const score = attempt.score?.items.find((s) => s.itemId === item.id)
    if (!answer || !score || isOmitted(answer)) return []
    const { id: attemptId, learnerId, number } = attempt
    return [
      {
        attemptId,
        learnerId,
        name,
        number,
        itemId: item.id,
        item,
        answer,
        otherTask: isParallel ? resource.title : null,
        filledIn,
        organiser: support.organiser,
        expected,
        criteria: criteriaFor(item, resource.material.rubric),
        points: score.waits ? null : score.points,
        comment: score.comment ?? '',
        levels: score.levels ?? null,
        draft: drafts.get(nameOf(draftedAt(attempt), item.id)) ?? null,
      },
    ]
  })
}

/** At which of the tries of a team the draft for all of them is kept. */
export function draftedAt({ id, sharedFrom }: Pick<Attempt, 'id' | 'sharedFrom'>): AttemptId {
  return sharedFrom ?? id
}

function nameOf(attemptId: AttemptId, itemId: ItemId): string {
  return `${attemptId} ${itemId}`
}

import { groupBy, ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, ClassId, Instant, ItemId, PieceId, Result, UserId } from '#core/base'
import { criteriaFor } from '#core/attempts'
import type { Attempt } from '#core/attempts'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AnswerToScore, KeptComment } from '#core/evidence'
import { forLearner, isOmitted, isScoredByHand } from '#core/library'
import type { Answer, KeptFile } from '#core/library'
import { isSupportItem } from '#core/versions'
import type { Assignment, WorkPiece } from '#core/work'
import {
  answersOf,
  attemptsOf,
  commentsOf,
  draftsOf,
  formName,
  handedAt,
  learnerWorkOf,
  learnersOf,
  piecesIn,
} from '#db/repositories'
import type { Connection, DraftRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { expectedIn, givenPiece } from '../settling/givenPiece'
import type { GivenPiece } from '../settling/givenPiece'
import { isAmong } from '../settling/team'
import { settleOverdue } from '../settling/settleOverdue'
import { classFor } from '../ground/classAccess'
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
  actor: Teacher,
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
  actor: Teacher,
  input: OfClass,
): Promise<Result<Queue, AccessRefusal>> {
  const tx = deps.store.read
  const found = await pieceOfClass(tx, actor, input)
  if (!found.ok) return found
  await settleOverdue(deps, { assignmentIds: [input.assignmentId] })
  const { assignment, piece, className } = found.value
  const handed = await handedIn(tx, input)
  const form = (await piecesIn(tx, [piece])).get(formName(piece))
  const own = form?.title ?? assignment.title
  return ok({
    title: assignment.pieces.length > 1 ? `${assignment.title}: ${own}` : assignment.title,
    className,
    content: form?.content ?? '',
    answers: await answersIn(tx, handed),
    comments: await commentsOf(tx, actor.userId),
    without: withoutText(handed),
  })
}

/** Who of a class has a piece, and what was begun of it. */
interface HandedIn {
  readonly people: readonly { readonly id: UserId; readonly name: string }[]
  readonly tries: readonly Attempt[]
  readonly files: readonly FileHanded[]
}
/** A file, with who handed it in. */
type FileHanded = KeptFile & { readonly handedAt: Instant; readonly learnerId: UserId }

async function handedIn(tx: Connection, of: OfClass): Promise<HandedIn> {
  const rows = await learnerWorkOf(tx, [of.assignmentId])
  const have = new Set(
    rows.filter((r) => r.classId === of.classId && r.pieceId === of.pieceId).map((r) => r.learnerId),
  )
  const tries = await attemptsOf(tx, [of.assignmentId])
  const people = (await learnersOf(tx, [of.classId])).get(of.classId) ?? []
  return {
    people: people.filter((p) => have.has(p.id)),
    tries: tries.filter((t) => t.pieceId === of.pieceId && have.has(t.learnerId)),
    files: (await handedAt(tx, of)).map((h) => ({ ...h.file, handedAt: h.handedAt, learnerId: h.learnerId })),
  }
}

function withoutText({ people, tries }: HandedIn): Queue['without'] {
  const begun = new Set(tries.map((t) => t.learnerId))
  return people.filter((p) => !begun.has(p.id)).map(({ id, name }) => ({ id, name }))
}

/** Answers of one class to a piece, for acts on all of them. */
export async function answersToScore(tx: Connection, of: OfClass): Promise<readonly AnswerToScore[]> {
  return answersIn(tx, await handedIn(tx, of))
}

async function answersIn(
  tx: Connection,
  { people, tries: begun, files }: HandedIn,
): Promise<readonly AnswerToScore[]> {
  const tries = begun.filter((t) => t.score !== null)
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
      const theirs = files
        .filter((f) => isAmong(given.teams, first.learnerId, f.learnerId))
        .map(({ learnerId: _, ...file }) => file)
      return toScoreIn(first, name.join(', '), {
        given,
        answers: answers.get(first.id),
        drafts,
        files: theirs,
      })
    }),
  )
  return lists.flat().sort((a, b) => a.name.localeCompare(b.name) || a.number - b.number)
}

const NO_TEXT: Answer = { kind: 'extended', text: '' }

interface Written {
  readonly given: GivenPiece
  readonly answers: ReadonlyMap<ItemId, Answer> | undefined
  readonly drafts: ReadonlyMap<string, DraftRecord>
  readonly files: AnswerToScore['files']
}

function toScoreIn(
  attempt: Attempt,
  name: string,
  { given: { resource, support, isParallel }, answers, drafts, files }: Written,
): readonly AnswerToScore[] {
  const filledIn = resource.items.filter(isSupportItem).flatMap((item) => {
    const answer = answers?.get(item.id)
    return answer && !isOmitted(answer) ? [{ item: forLearner(item), answer }] : []
  })
  const expected = expectedIn({ resource, support })
  return resource.items.filter(isScoredByHand).flatMap((item) => {
    const score = attempt.score?.items.find((s) => s.itemId === item.id)
    const answer = answers?.get(item.id) ?? NO_TEXT
    // without a text it is looked at for what was handed in as files
    const isLookedAt = score && (!isOmitted(answer) || score.waits || score.levels)
    if (!isLookedAt) return []
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
        organisers: support.organisers,
        files,
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

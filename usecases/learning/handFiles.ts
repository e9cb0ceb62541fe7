import { ok, refuse } from '#core/base'
import type { AssignmentId, FileId, PieceId, Result, UserId } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import { itemsOf, waitingForFiles } from '#core/attempts'
import type { AttemptRefusal } from '#core/attempts'
import { cardOfKind, MOST_FILES } from '#core/library'
import { mayHandFiles } from '#core/work'
import type { MyFile } from '#core/work'
import {
  addFile,
  addHanded,
  attemptsAt,
  attemptsSharedWith,
  dropFile,
  handedAt,
  saveScore,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { readFileSent } from '../library/files'
import type { FileRefusal } from '../library/files'
import type { FileToRead } from '../library/imports'
import { writing } from '../ground/writing'
import { givenPiece } from '../settling/givenPiece'
import { cardAt } from './myWork'
import { isAmong } from '../settling/team'

/** A piece of an assignment. */
interface OfWork {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
}
type Handed = Result<{ readonly files: readonly MyFile[] }, FileRefusal | AttemptRefusal>

/** What a learner and their team have handed in as files for a piece, the first one first. */
export async function filesHandedBy(
  tx: Connection,
  of: OfWork,
  learnerId: UserId,
  teams: readonly (readonly UserId[])[],
): Promise<readonly MyFile[]> {
  return (await handedAt(tx, of))
    .filter((h) => isAmong(teams, learnerId, h.learnerId))
    .map(({ file, handedAt, learnerId: id, learnerName }) => ({
      ...file,
      handedAt,
      by: id === learnerId ? null : learnerName,
    }))
}

/** Whether a learner may hand in files for a piece, or take them back, now. */
async function mayHand(
  tx: Connection,
  deps: Pick<Deps, 'clock'>,
  actor: Learner,
  of: OfWork,
): Promise<Result<true, AccessRefusal | AttemptRefusal>> {
  const now = deps.clock.now()
  const known = await cardAt(tx, { learnerId: actor.userId, at: now }, of.assignmentId)
  const card = known?.work.pieces.find((p) => p.pieceId === of.pieceId)
  if (!card || !cardOfKind(card.kind).takesFiles) return refuse({ code: 'access/not-found', what: 'work' })
  return mayHandFiles(card, now)
}

/** Hands in a file for a piece of the actor's own work. Refused before it opens and after it has closed. */
export async function handFile(deps: Deps, actor: Learner, of: OfWork & FileToRead): Promise<Handed> {
  const early = await mayHand(deps.store.read, deps, actor, of)
  if (!early.ok) return early
  const read = await readFileSent(deps, actor, of)
  if (!read.ok) return read
  const { record, bytes } = read.value
  return writing(deps.store, async (tx): Promise<Handed> => {
    const may = await mayHand(tx, deps, actor, of)
    if (!may.ok) return may
    const { teams } = await givenPiece(tx, { ...of, learnerId: actor.userId })
    const own = (await handedAt(tx, of)).filter((h) => h.learnerId === actor.userId)
    if (own.length >= MOST_FILES)
      return refuse({ code: 'library/too-many-files', field: 'file', most: MOST_FILES })
    const { assignmentId, pieceId } = of
    await addFile(tx, record, bytes)
    await addHanded(tx, {
      assignmentId,
      pieceId,
      learnerId: actor.userId,
      fileId: record.file.id,
      handedAt: record.madeAt,
    })
    await letWait(tx, of, actor.userId)
    return ok({ files: await filesHandedBy(tx, of, actor.userId, teams) })
  })
}

/** What was handed in without a text is looked at for its files, also where they come afterwards. */
async function letWait(tx: Connection, of: OfWork, learnerId: UserId): Promise<void> {
  const last = (await attemptsAt(tx, of, learnerId)).filter((t) => t.submittedAt !== null).at(-1)
  if (!last) return
  for (const one of await attemptsSharedWith(tx, last)) {
    if (one.score === null) continue
    const { resource, rules } = await givenPiece(tx, one)
    const score = waitingForFiles(one.score, itemsOf(resource.items, one, 'as-written'), rules.late)
    if (score !== one.score) await saveScore(tx, one.id, score)
  }
}

/** Takes a file back that the actor handed in, while the work is open. */
export async function takeFileBack(
  deps: Deps,
  actor: Learner,
  of: OfWork & { readonly fileId: FileId },
): Promise<Handed> {
  return writing(deps.store, async (tx): Promise<Handed> => {
    const may = await mayHand(tx, deps, actor, of)
    if (!may.ok) return may
    const own = (await handedAt(tx, of)).find((h) => h.fileId === of.fileId && h.learnerId === actor.userId)
    if (!own) return refuse({ code: 'access/not-found', what: 'file' })
    await dropFile(tx, of.fileId)
    const { teams } = await givenPiece(tx, { ...of, learnerId: actor.userId })
    return ok({ files: await filesHandedBy(tx, of, actor.userId, teams) })
  })
}

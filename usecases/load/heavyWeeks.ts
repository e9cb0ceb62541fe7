import type { AssignmentId, Instant, PieceId } from '#core/base'
import { fromPublishing } from '#core/availability'
import { USUAL_LIMITS, daysToDo, weeksAround, weighed } from '#core/load'
import type { HeavyWeek, LoadPiece } from '#core/load'
import type { PieceAtLastLook } from '#core/lastLook'
import type { Resolution } from '#core/work'
import { piecesToDo } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { ClassGround } from '../ground/classGrounds'
import { asLoadPiece } from './loadPieces'

/** Some work that is looked at before it goes out. */
export interface WeighedWork {
  readonly rows: Resolution['rows']
  readonly pieces: ReadonlyMap<PieceId, PieceAtLastLook>
  /** The assignment that is changed; what it was before does not count. */
  readonly stands: AssignmentId | null
  readonly now: Instant
  /** Since when it is published; now while it is not. What has no opening opens then. */
  readonly from: Instant
}

/**
 * Weeks that some work would make too much for learners of a class, counting all they have of any class and
 * teacher, with a lighter day to be due on. Work without an end weighs on no week.
 */
export async function heavyWeeksIn(
  tx: Connection,
  ground: ClassGround,
  of: WeighedWork,
): Promise<readonly HeavyWeek[]> {
  const [first, ...others] = of.rows
    .filter((row) => row.classId === ground.record.id)
    .flatMap((row) => loadPieceOf(row, ground, of))
  if (!first) return []
  const more: readonly [LoadPiece, ...LoadPiece[]] = [first, ...others]
  const learnerIds = [...new Set(more.flatMap((p) => p.learnerIds))]
  const { zone } = ground.ground
  const { from, through } = weeksAround(more)
  const span = { from: zone.at(from, 0), until: zone.at(through, 24 * 60) }
  const had = (await piecesToDo(tx, learnerIds, span)).filter((p) => p.assignmentId !== of.stands)
  const has = had.map((p) => asLoadPiece(p, zone))
  const schoolDays = ground.schoolDays.map((d) => d.on)
  return weighed(has, more, schoolDays, USUAL_LIMITS)
}

function loadPieceOf(
  { learnerId, pieceId, terms }: Resolution['rows'][number],
  { ground: { zone } }: ClassGround,
  { pieces, now, from: published }: WeighedWork,
): readonly LoadPiece[] {
  const piece = pieces.get(pieceId)
  const until = terms.due ?? terms.closes
  if (!piece || until === null || until <= now) return []
  const from = fromPublishing(terms, published).opens ?? published
  const { minutes, isTest } = piece
  return [{ learnerIds: [learnerId], minutes, isTest, ...daysToDo({ from, until }, zone) }]
}

import { addDays, mondayOf } from '#core/base'
import type { AssignmentId, ClassId, Instant, IsoDay, PieceId } from '#core/base'
import { USUAL_LIMITS, betterDays, loadOf, weighed } from '#core/load'
import type { LoadPiece } from '#core/load'
import type { Caution, PieceAtLastLook, Resolution } from '#core/work'
import { piecesToDo } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { ClassGround } from '../ground/classGrounds'
import { asLoadPiece, daysOf } from './showLoad'

const NEW = 'new' as AssignmentId
/** Days this far before and after are looked at for a lighter one. */
const NEAR = { within: 8, count: 1 }

/**
 * Weeks that some work would make too much for learners of its classes, counting all they have of any class and
 * teacher, with a lighter day to be due on. Work without an end weighs on no week.
 */
export async function heavyWith(
  tx: Connection,
  of: {
    readonly rows: Resolution['rows']
    readonly pieces: ReadonlyMap<PieceId, PieceAtLastLook>
    readonly stands: AssignmentId | null
    readonly grounds: ReadonlyMap<ClassId, ClassGround>
    readonly now: Instant
  },
): Promise<readonly Caution[]> {
  const { pieces, stands, grounds, now } = of
  const found: Caution[] = []
  for (const ground of grounds.values()) {
    const classId = ground.record.id
    const more = of.rows
      .filter((r) => r.classId === classId)
      .flatMap((row) => loadPieceOf(row, ground, pieces.get(row.pieceId), now))
    const [first] = more
    if (!first) continue
    const learnerIds = [...new Set(more.flatMap((p) => p.learnerIds))]
    const days = spanOf(more)
    const { zone } = ground.ground
    const within = { from: zone.at(days.from, 0), until: zone.at(days.through, 24 * 60) }
    const had = (await piecesToDo(tx, learnerIds, within)).filter((p) => p.assignmentId !== stands)
    const has = had.map((p) => asLoadPiece(p, zone))
    const schoolDays = ground.schoolDays.map((d) => d.on)
    const [lighter] = betterDays(
      loadOf([...has, ...more], schoolDays, learnerIds, 'due'),
      first.throughOn,
      NEAR,
    )
    for (const { mondayOn, learnerIds: over } of weighed(has, more, schoolDays, USUAL_LIMITS)) {
      found.push({
        code: 'heavy-week',
        classId,
        mondayOn,
        learnerIds: over,
        better: lighter && mondayOf(lighter.on) !== mondayOn ? lighter.on : null,
      })
    }
  }
  return found
}

function loadPieceOf(
  { learnerId, pieceId, terms }: Resolution['rows'][number],
  { ground: { zone } }: ClassGround,
  piece: PieceAtLastLook | undefined,
  now: Instant,
): readonly LoadPiece[] {
  const until = terms.due ?? terms.closes
  if (!piece || until === null || until <= now) return []
  const from = terms.opens ?? terms.listed ?? now
  const { minutes, isTest } = piece
  return [
    {
      learnerIds: [learnerId],
      assignmentId: NEW,
      pieceId,
      minutes,
      isTest,
      ...daysOf({ from, until }, zone),
    },
  ]
}

/** The weeks around all of some pieces. */
function spanOf(pieces: readonly LoadPiece[]): { readonly from: IsoDay; readonly through: IsoDay } {
  const first = pieces.reduce((on, p) => (p.fromOn < on ? p.fromOn : on), pieces[0]!.fromOn)
  const last = pieces.reduce((on, p) => (p.throughOn > on ? p.throughOn : on), pieces[0]!.throughOn)
  return { from: addDays(mondayOf(first), -14), through: addDays(mondayOf(last), 20) }
}

import { cardOfKind } from '#core/library'
import type { AssignmentId, ClassId, Instant, LessonId, PieceId } from '#core/base'
import { classWindow, lastLook, namedClasses } from '#core/work'
import type { Assignment, Caution, ClassAtLastLook, Draft, PieceAtLastLook, Resolution } from '#core/work'
import {
  assignmentIdsTouching,
  assignmentsById,
  formName,
  gistOf,
  givenBefore,
  piecesIn,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { ClassGround } from '../ground/classGrounds'
import type { World } from '../ground/world'

/** What the last look finds in a draft, class by class. `stands`: the assignment that is changed. */
export async function cautionsFor(
  tx: Connection,
  of: {
    readonly draft: Draft
    readonly stands: Assignment | null
    readonly world: World
    readonly classes: readonly Pick<ClassAtLastLook, 'classId' | 'window' | 'pieces' | 'span'>[]
    readonly reached: Resolution['reached']
    readonly pieces: ReadonlyMap<PieceId, PieceAtLastLook>
    readonly now: Instant
  },
): Promise<readonly Caution[]> {
  const { draft, stands, world, classes, reached, pieces: seenPieces, now } = of
  const given = await givenBefore(
    tx,
    draft.pieces.map((p) => p.resourceId),
    classes.map((c) => c.classId),
    stands?.id ?? null,
  )
  const around = await workBeside(
    tx,
    classes.map((c) => c.classId),
    stands?.id ?? null,
  )
  const looked = classes.flatMap(({ classId, window, pieces, span }) => {
    const ground = world.classes.get(classId)
    if (!ground) return []
    const had = new Map(given.filter((g) => g.classId === classId).map((g) => [g.resourceId, g.title]))
    const learnerIds = world.around.roster.classes.get(classId) ?? []
    const others = around
      .filter(({ work }) => namedClasses(work).includes(classId) && !work.notFor.includes(classId))
      .map((o) => ({ ...o, title: o.work.title, window: classWindow(o.work, classId, ground.ground) }))
    const seen = { classId, window, pieces, span, had, learnerIds, others }
    return { ...seen, ground: ground.ground, ...ofYear(ground) }
  })
  return lastLook(draft, looked, reached, seenPieces, now)
}

/** What the last look, and whoever draws, needs to know of the pieces of a draft. */
export async function piecesSeen(
  tx: Connection,
  { pieces }: Draft,
): Promise<ReadonlyMap<PieceId, PieceAtLastLook>> {
  const forms = await piecesIn(tx, pieces)
  return new Map(
    pieces.flatMap((piece): readonly [PieceId, PieceAtLastLook][] => {
      const form = forms.get(formName(piece))
      if (!form) return []
      return [
        [
          piece.id,
          { isTest: cardOfKind(form.kind).measures === 'test', minutes: form.minutes, items: form.items },
        ],
      ]
    }),
  )
}

/** Work that these classes have besides, published or waiting, with what it holds. */
async function workBeside(tx: Connection, classIds: readonly ClassId[], except: AssignmentId | null) {
  const ids = (await assignmentIdsTouching(tx, classIds)).filter((id) => id !== except)
  const gist = await gistOf(tx, ids)
  return (await assignmentsById(tx, ids))
    .filter((work) => work.state !== 'withdrawn')
    .map((work) => ({ work, ...(gist.get(work.id) ?? { minutes: 0, isTest: false }) }))
}

function ofYear({ year, record }: ClassGround) {
  const records = Object.entries(record.pacing.records)
  return {
    termEnds: year.terms.map((t) => t.lastOn),
    covered: new Set(records.filter(([, r]) => r.outcome === 'covered').map(([id]) => id as LessonId)),
  }
}

import { fromPublishing } from '#core/availability'
import { cardOfKind } from '#core/library'
import type { AssignmentId, ClassId, Instant, LessonId, PieceId } from '#core/base'
import { groupBy } from '#core/base'
import { lastLook } from '#core/lastLook'
import type { Caution, ClassAtLastLook, PieceAtLastLook } from '#core/lastLook'
import { classWindow, namedClasses } from '#core/work'
import type { Assignment, Draft, Resolution } from '#core/work'
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
import { heavyWeeksIn } from '../load/heavyWeeks'
import type { Waiting } from '../settling/ceiling'

/** A draft as it would go out. */
export interface LookedAt {
  readonly draft: Draft
  /** The assignment that is changed. */
  readonly stands: Assignment | null
  readonly world: World
  readonly resolution: Resolution
  readonly classes: readonly Pick<ClassAtLastLook, 'classId' | 'window' | 'pieces' | 'span'>[]
  readonly pieces: ReadonlyMap<PieceId, PieceAtLastLook>
  readonly waiting: readonly Waiting[]
  readonly now: Instant
  /** Since when it is published; now while it is not. */
  readonly from: Instant
}

/** What the last look finds in a draft, class by class. */
export async function cautionsFor(tx: Connection, of: LookedAt): Promise<readonly Caution[]> {
  const { draft, pieces, now, from } = of
  const { reached } = of.resolution
  return lastLook({ draft, classes: await classesSeen(tx, of), reached, pieces, now, from })
}

/** What is to be known of each class, for all of them in few questions. */
async function classesSeen(tx: Connection, of: LookedAt): Promise<readonly ClassAtLastLook[]> {
  const { draft, world, resolution, pieces, now, from } = of
  const stands = of.stands?.id ?? null
  const classIds = of.classes.map((c) => c.classId)
  const resourceIds = draft.pieces.map((p) => p.resourceId)
  const given = groupBy(await givenBefore(tx, resourceIds, classIds, stands), (g) => g.classId)
  const around = await workBeside(tx, classIds, stands)
  const waiting = groupBy(of.waiting, (w) => w.classId)
  const seen: ClassAtLastLook[] = []
  for (const { classId, window, pieces: ownWindows, span } of of.classes) {
    const ground = world.classes.get(classId)
    if (!ground) continue
    const others = around
      .filter(({ work }) => namedClasses(work).includes(classId) && !work.notFor.includes(classId))
      .map(({ work, ...gist }) => {
        const its = classWindow(work, classId, ground.ground)
        return { ...gist, title: work.title, window: its && fromPublishing(its, work.publishedAt ?? now) }
      })
    seen.push({
      classId,
      window,
      pieces: ownWindows,
      span,
      ground: ground.ground,
      ...ofYear(ground),
      had: new Map((given.get(classId) ?? []).map((g) => [g.resourceId, g.title])),
      learnerIds: world.around.roster.classes.get(classId) ?? [],
      others,
      // what is only recommended weighs nothing
      heavyWeeks: draft.about.isRecommended
        ? []
        : await heavyWeeksIn(tx, ground, { rows: resolution.rows, pieces, stands, now, from }),
      waiting: waiting.get(classId) ?? [],
    })
  }
  return seen
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

import { ok } from '#core/base'
import type { AssignmentId, ClassId, PieceId, Result, UserId } from '#core/base'
import { headCounts, reach } from '#core/audience'
import { bankParts } from '#core/attempts'
import type { BankPart } from '#core/attempts'
import type { Teacher } from '#core/access'
import { resolveWindow, spanOf } from '#core/availability'
import type {
  AvailabilityRefusal,
  Ground,
  LearnerTerms,
  Window,
  WindowSpan,
  WindowSpec,
} from '#core/availability'
import type { GivenVersion, Trail } from '#core/versions'
import { resolveWork, windowOfClass } from '#core/work'
import type { Caution } from '#core/lastLook'
import type { Draft, Resolution, WorkBecause, WorkPiece } from '#core/work'
import { learnerWorkOf } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { cautionsFor, piecesSeen } from './cautions'
import { whoWaits } from '../settling/ceiling'
import { checkedDraft } from './draft'
import type { DraftRefusal } from './draft'
import { workFor } from './workFor'
import type { World } from '../ground/world'

/** One class's part of a preview; `problem` says why a window cannot stand there. */
export interface ClassPreviewed {
  readonly classId: ClassId
  readonly name: string
  readonly learners: number
  readonly window: Window | null
  /** Windows of the pieces that have moments of their own. */
  readonly pieces: readonly { readonly pieceId: PieceId; readonly window: Window | null }[]
  readonly span: WindowSpan | null
  readonly problem: AvailabilityRefusal | null
}
export interface WorkPreview {
  readonly learners: number
  readonly classes: readonly ClassPreviewed[]
  readonly who: readonly {
    readonly learnerId: UserId
    readonly pieceId: PieceId
    readonly name: string
    readonly classId: ClassId
    readonly terms: LearnerTerms
    readonly version: GivenVersion | null
    readonly because: readonly WorkBecause[]
  }[]
  /** The school's trails, from least support; for whom a piece has versions. */
  readonly trails: readonly Trail[]
  readonly targetCounts: readonly number[]
  readonly problems: readonly (DraftRefusal | AvailabilityRefusal)[]
  readonly cautions: readonly Caution[]
  /** Who would not have it yet: they wait until they have room for it. */
  readonly waiting: readonly UserId[]
  /** What can be drawn from, of each piece with items. */
  readonly banks: readonly { readonly pieceId: PieceId; readonly parts: readonly BankPart[] }[]
}

/**
 * What publishing a draft would do: head-counts, each class's resolved window with the meetings inside it,
 * and every learner's own terms. Changes nothing.
 */
export async function previewWork(
  deps: Deps,
  actor: Teacher,
  { assignmentId, draft }: { readonly assignmentId: AssignmentId | null; readonly draft: Draft },
): Promise<Result<WorkPreview, DraftRefusal>> {
  const tx = deps.store.read
  const known = assignmentId === null ? null : await workFor(tx, actor, assignmentId)
  if (known && !known.ok) return known
  const stands = known?.value.assignment ?? null
  const checked = await checkedDraft(tx, actor, { draft, authorId: stands?.authorId ?? actor.userId, stands })
  if (!checked.ok) {
    return WHILE_COMPOSING.has(checked.error.code)
      ? ok({
          learners: 0,
          classes: [],
          who: [],
          trails: [],
          targetCounts: draft.targets.map(() => 0),
          problems: [checked.error],
          cautions: [],
          waiting: [],
          banks: [],
        })
      : checked
  }
  const world = checked.value
  const isOut = stands?.state === 'published'
  const asStands = {
    notFor: stands?.notFor,
    publishedAt: isOut ? stands.publishedAt : null,
    ruled: isOut ? stands.ruled : [],
  }
  const resolution = resolveWork({ ...draft, ...asStands }, world.around)
  const counts = headCounts(resolution.reached)
  const classIds = [...new Set(resolution.reached.flatMap((r) => r.classIds.slice(0, 1)))]
  const classes = classIds.map((classId) =>
    previewClass(classId, draft, world, counts.byClass.get(classId) ?? 0, resolution.problems),
  )
  const { reached } = resolution
  const now = deps.clock.now()
  const pieces = await piecesSeen(tx, draft)
  const has = isOut ? (await learnerWorkOf(tx, [stands.id])).map((r) => r.learnerId) : []
  const work = { ...draft, id: stands?.id ?? null }
  const waiting = await whoWaits(tx, work, { rows: resolution.rows, has: new Set(has), now })
  const looked = { draft, stands, world, resolution, classes, pieces, waiting, now }
  const cautions = await cautionsFor(tx, looked)
  return ok({
    learners: reached.length,
    classes,
    cautions,
    waiting: waiting.map((w) => w.learnerId),
    banks: [...pieces]
      .filter(([, { items }]) => items.length > 0)
      .map(([pieceId, { items }]) => ({ pieceId, parts: bankParts(items) })),
    who: resolution.rows
      .map((row) => ({ ...row, name: world.people.get(row.learnerId)?.name ?? '' }))
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
    trails: world.around.versions?.trails ?? [],
    targetCounts: draft.targets.map((t) => reach([t.target], world.around.roster).length),
    problems: resolution.problems.map((p) => p.refusal),
  })
}

/** Faults of a draft that is not finished: shown beside the rest, not instead of it. */
const WHILE_COMPOSING: ReadonlySet<string> = new Set([
  'audience/nobody-chosen',
  'attempts/bad-rules',
  'work/no-pieces',
])

function previewClass(
  classId: ClassId,
  draft: Draft,
  world: World,
  learners: number,
  problems: Resolution['problems'],
): ClassPreviewed {
  const of = world.classes.get(classId)
  if (!of) throw new Error('class without ground')
  const spec = windowOfClass(draft, classId)
  const window = resolveWindow(spec, of.ground)
  const span = window.ok ? spanOf(window.value, of.calendar.meetings, of.schoolDays) : null
  return {
    classId,
    name: of.record.name,
    learners,
    window: window.ok ? window.value : null,
    pieces: draft.pieces.flatMap((p) =>
      Object.keys(p.window).length === 0 ? [] : ownWindow(p, spec, of.ground),
    ),
    span,
    problem: window.ok ? (problems.find((p) => p.classId === classId)?.refusal ?? null) : window.error,
  }
}

function ownWindow({ id, window }: WorkPiece, shared: WindowSpec, ground: Ground) {
  const resolved = resolveWindow({ ...shared, ...window }, ground)
  return { pieceId: id, window: resolved.ok ? resolved.value : null }
}

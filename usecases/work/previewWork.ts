import { ok } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId, Result, UserId } from '#core/base'
import { headCounts, reach } from '#core/audience'
import { bankParts } from '#core/attempts'
import type { BankPart } from '#core/attempts'
import type { Teacher } from '#core/access'
import { fromPublishing, resolveWindow, spanOf } from '#core/availability'
import type {
  AvailabilityRefusal,
  Ground,
  LearnerTerms,
  Window,
  WindowSpan,
  WindowSpec,
} from '#core/availability'
import type { GivenVersion, Trail } from '#core/versions'
import { awaitsNewcomers, namedClasses, partSeen, resolveWork, windowOfClass } from '#core/work'
import type { Caution } from '#core/lastLook'
import type { Draft, Resolution, WorkBecause, WorkPiece } from '#core/work'
import { learnerWorkOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { cautionsFor, piecesSeen } from './cautions'
import { whoWaits } from '../settling/ceiling'
import { checkedDraft, whereIn, worldOfTargets } from './draft'
import type { DraftRefusal } from './draft'
import { workFor } from './workFor'
import type { WorkInReach } from './workFor'
import { worldLoader } from '../ground/world'
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
  /** Since when it is published; now while it is not. What has no opening opens then. */
  readonly from: Instant
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
  /** Whoever joins one of its classes gets it, so that it can go out before anybody has it. */
  readonly awaitsNewcomers: boolean
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
  { assignmentId, draft: asked }: { readonly assignmentId: AssignmentId | null; readonly draft: Draft },
): Promise<Result<WorkPreview, DraftRefusal>> {
  const tx = deps.store.read
  const known = assignmentId === null ? null : await workFor(tx, actor, assignmentId)
  if (known && !known.ok) return known
  const { draft, stands } = known ? await withinReach(tx, known.value, asked) : { draft: asked, stands: null }
  const checked = await checkedDraft(tx, actor, { draft, authorId: stands?.authorId ?? actor.userId, stands })
  if (!checked.ok) {
    return WHILE_COMPOSING.has(checked.error.code)
      ? ok(await unfinished(deps, actor, { draft, stands }, checked.error))
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
  const classIds = [
    ...new Set([
      ...namedClasses(draft).filter((id) => world.classes.has(id) && !(stands?.notFor ?? []).includes(id)),
      ...resolution.reached.flatMap((r) => r.classIds.slice(0, 1)),
    ]),
  ]
  const now = deps.clock.now()
  const from = asStands.publishedAt ?? now
  const classes = classIds.map((classId) =>
    previewClass(classId, draft, { world, from, learners: counts.byClass.get(classId) ?? 0, ...resolution }),
  )
  const { reached } = resolution
  const pieces = await piecesSeen(tx, draft)
  const has = isOut ? (await learnerWorkOf(tx, [stands.id])).map((r) => r.learnerId) : []
  const work = { ...draft, id: stands?.id ?? null }
  const waiting = await whoWaits(tx, work, { rows: resolution.rows, has: new Set(has), now })
  const looked = { draft, stands, world, resolution, classes, pieces, waiting, now, from }
  const cautions = await cautionsFor(tx, looked)
  return ok({
    learners: reached.length,
    from,
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
    awaitsNewcomers: awaitsNewcomers(draft),
    targetCounts: countsOf(draft, world, new Set(reached.map((r) => r.learnerId))),
    problems: resolution.problems.map((p) => p.refusal),
  })
}

/** A draft and what it takes the place of, as far as the actor reaches: what goes to other classes is theirs to see. */
async function withinReach(tx: Connection, { assignment, reach }: WorkInReach, asked: Draft) {
  if (reach === 'whole') return { draft: asked, stands: assignment }
  const world = await worldLoader(tx)(assignment.authorId, namedClasses(assignment))
  const where = whereIn(world)
  return { draft: partSeen(reach, asked, where), stands: partSeen(reach, assignment, where) }
}

/** Who would get a draft that is not finished, such as one without a piece; nothing else is known of it yet. */
async function unfinished(
  deps: Deps,
  actor: Teacher,
  { draft, stands }: { readonly draft: Draft; readonly stands: Draft | null },
  problem: DraftRefusal,
): Promise<WorkPreview> {
  const world = await worldOfTargets(deps.store.read, actor, draft, stands)
  const except = new Set(draft.exceptIds)
  const all = draft.targets.map((t) => t.target)
  return {
    learners: world ? reach(all, world.around.roster, except).length : 0,
    from: deps.clock.now(),
    classes: [],
    who: [],
    awaitsNewcomers: awaitsNewcomers(draft),
    trails: [],
    targetCounts: world ? countsOf(draft, world) : draft.targets.map(() => 0),
    problems: [problem],
    cautions: [],
    waiting: [],
    banks: [],
  }
}

/** How many each target reaches: of those who get it, and, while that is not known, of all who are not excepted. */
function countsOf(
  { targets, exceptIds }: Draft,
  { around }: World,
  having?: ReadonlySet<UserId>,
): readonly number[] {
  const except = new Set(exceptIds)
  return targets.map(({ target }) => {
    const reached = reach([target], around.roster, except)
    return reached.filter((r) => having?.has(r.learnerId) ?? true).length
  })
}

/** Faults of a draft that is not finished: shown beside the rest, not instead of it. */
const WHILE_COMPOSING: ReadonlySet<string> = new Set([
  'audience/nobody-chosen',
  'attempts/bad-rules',
  'work/no-pieces',
])

/** What is known of a class beside the draft. */
interface ClassSeen extends Pick<Resolution, 'problems'> {
  readonly world: World
  /** Since when it is published; now while it is not. */
  readonly from: Instant
  readonly learners: number
}

function previewClass(
  classId: ClassId,
  draft: Draft,
  { world, from, learners, problems }: ClassSeen,
): ClassPreviewed {
  const of = world.classes.get(classId)
  if (!of) throw new Error('class without ground')
  const spec = windowOfClass(draft, classId)
  const window = resolveWindow(spec, of.ground)
  const counted = window.ok ? fromPublishing(window.value, from) : null
  const span = counted ? spanOf(counted, of.calendar.meetings, of.schoolDays) : null
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

import { groupBy, ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId } from '#core/base'
import { canSeeResource } from '#core/access'
import type { Teacher } from '#core/access'
import { standingOnStandards } from '#core/evidence'
import { onStandards } from '#core/followUp'
import type { FollowUpGround, FollowUpLearner, FollowUpPiece } from '#core/followUp'
import { allBefore } from '#core/library'
import type { Resource, Standard } from '#core/library'
import { proposedFiling } from '#core/filing'
import {
  filingOf,
  formName,
  learnersOf,
  minutesDue,
  piecesIn,
  piecesServing,
  resourcesById,
  standardsFor,
} from '#db/repositories'
import type { Connection, ResourceRecord } from '#db/repositories'
import { groundFor } from '../ground/classGrounds'
import type { Deps } from '../ground/deps'
import { pointersHolding } from '../ground/guidePointers'
import { workFor } from '../work/workFor'
import { countedTriesIn, workIn } from './countedTries'
import type { TryInClass } from './countedTries'
import { earlierOf, followedUp, giftsIn, isSamePiece } from './followedUp'

const WEEK = 7 * 24 * 3600 * 1000
/** So many meetings to come are told, to choose a window among. */
const MEETINGS_TOLD = 10

interface OfCheck {
  readonly classId: ClassId
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
}

/**
 * What a class missed in a piece of its work, learner by learner, with what they have and carry; what the guide and the
 * shelf have for it; and what became of earlier follow-up of it. Of work of other classes nothing.
 */
export async function showFollowUp(deps: Deps, actor: Teacher, { classId, ...check }: OfCheck) {
  const tx = deps.store.read
  const found = await groundFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const checked = await workFor(tx, actor, check.assignmentId)
  if (!checked.ok) return checked
  const { assignment } = checked.value
  const piece = assignment.pieces.find((p) => p.id === check.pieceId)
  const form = piece && (await piecesIn(tx, [piece])).get(formName(piece))
  if (!piece || !form) return refuse({ code: 'access/not-found' as const, what: 'piece' })
  const now = deps.clock.now()
  const people = (await learnersOf(tx, [classId])).get(classId) ?? []
  const learnerIds = new Set(people.map((l) => l.id))
  const work = await workIn(tx, classId)
  const tries = await countedTriesIn(deps, work, learnerIds)
  const ofCheck = new Map(tries.filter((t) => isSamePiece(t, check)).map((t) => [t.learnerId, t]))
  const standards = await standardsFor(tx, actor.schoolId)
  const codes = codesOf(form, [...ofCheck.values()])
  const near = [...codes, ...allBefore(codes, standards)]
  const ground = await groundOf(tx, actor, { piece: form, codes: near, standards })
  const standings = standingOnStandards(tries)
  const minutes = await minutesDue(tx, [classId], { from: now, until: (now + WEEK) as Instant })
  const gifts = await giftsIn(tx, work, learnerIds)
  const giftsOf = groupBy(gifts, (g) => g.learnerId)
  const taken = followedUp({ check, gifts, tries, ground, codes, standards })
  return ok({
    classId,
    name: found.value.record.name,
    zone: found.value.year.zone,
    now,
    ...check,
    resourceId: piece.resourceId,
    title: assignment.pieces.length > 1 ? form.title : assignment.title,
    reached: work.rows.filter((r) => isSamePiece(r, check)).length,
    learners: people.map(({ id, name }): FollowUpLearner & { readonly name: string } => {
      const one = ofCheck.get(id)
      return {
        id,
        name,
        on: one ? onStandards([one]) : [],
        given: taken.givenOf.get(id) ?? [],
        since: taken.sinceOf.get(id) ?? [],
        hasIds: [...new Set((giftsOf.get(id) ?? []).map((g) => g.resourceId))],
        standings: Object.fromEntries([...(standings.get(id) ?? [])].map(([code, s]) => [code, s.share])),
        minutesDue: minutes.get(id) ?? 0,
      }
    }),
    ground,
    standards: standards.filter((s) => near.includes(s.code)).map(({ code, text }) => ({ code, text })),
    filing: await filedAs(tx, classId),
    meetings: found.value.ground.meetings
      .filter((m) => m.startsAt > now)
      .slice(0, MEETINGS_TOLD)
      .map((m) => m.startsAt),
    earlier: earlierOf({ check, work, tries, ground }),
  })
}

/** The categories of a class, and under which practice would be filed. */
async function filedAs(tx: Connection, classId: ClassId) {
  const { filing } = await filingOf(tx, classId)
  const { category } = proposedFiling(filing, { kind: 'practice-set', unit: '' })
  return { categories: filing.categories, proposed: category }
}

/** Every standard that a check's items were asked on, of the form given now and of other tasks in its place. */
function codesOf(form: Resource, tries: readonly TryInClass[]): readonly string[] {
  const items = [...form.items, ...tries.flatMap((t) => t.items)]
  return [...new Set(items.flatMap((i) => i.standard ?? []))]
}

async function groundOf(
  tx: Connection,
  actor: Teacher,
  of: {
    readonly piece: Resource
    readonly codes: readonly string[]
    readonly standards: readonly Standard[]
  },
): Promise<FollowUpGround> {
  const { piece, codes, standards } = of
  const asked = new Set(codes)
  const pointers = await pointersHolding(tx, actor.schoolId, { pieces: [piece.id], standards: codes })
  const pointed = await resourcesById(
    tx,
    pointers.map((p) => p.toPiece),
  )
  const named = [...pointed.values()].filter((r) => canSeeResource(actor, r))
  const known = new Map(
    [...(await piecesServing(tx, actor, codes)), ...named].map((r) => [r.resource.id, asPiece(r)]),
  )
  return {
    grade: piece.grade,
    checkId: piece.id,
    pieces: [...known.values()],
    pointers: pointers.map((p) => ({ code: p.fromStandard, to: p.toPiece })),
    requires: Object.fromEntries(standards.filter((s) => asked.has(s.code)).map((s) => [s.code, s.requires])),
  }
}

function asPiece({ resource, revision }: ResourceRecord): FollowUpPiece {
  const { id, title, kind, role, minutes, grade, standards, items } = resource
  return { id, title, kind, role, minutes, grade, standards, revision, itemCount: items.length }
}

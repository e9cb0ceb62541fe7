import { asId, ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Teacher } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { changed, checkPart, publishedBy, ruledNow } from '#core/work'
import type { Assignment, Draft, WorkRefusal } from '#core/work'
import { addAssignment, begunIn, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { checkedDraft, whereIn } from './draft'
import type { DraftRefusal } from './draft'
import { rescore } from '../settling/rescore'
import { settle } from '../settling/settle'
import type { WorkInReach } from './workFor'
import { worldLoader } from '../ground/world'

/** What an act made of an assignment, and how many learners it reaches. */
export interface WorkChange {
  /** Null: it was not there. */
  readonly before: Assignment | null
  readonly after: Assignment
  readonly learners: number
}

/** In what an act that consists of more than one assignment is done; the world is loaded once for all of them. */
export interface WorkSession {
  readonly tx: Connection
  readonly deps: Deps
  readonly actor: Teacher
  readonly load: ReturnType<typeof worldLoader>
}

/** An act on several assignments begins. */
export function openWorkSession(tx: Connection, deps: Deps, actor: Teacher): WorkSession {
  return { tx, deps, actor, load: worldLoader(tx, 'as-they-stand') }
}

export type WorkActRefusal = DraftRefusal | AvailabilityRefusal | WorkRefusal
export type WorkChanged = Result<WorkChange, WorkActRefusal>

/**
 * Makes an assignment, held or published at once. Refused when a window cannot stand in a class or nobody is reached.
 */
export async function makeAssignment(
  session: WorkSession,
  draft: Draft,
  publish: boolean,
): Promise<WorkChanged> {
  const { tx, deps, actor, load } = session
  const world = await checkedDraft(tx, actor, { draft, authorId: actor.userId, stands: null }, load)
  if (!world.ok) return world
  const now = deps.clock.now()
  const after: Assignment = {
    ...draft,
    id: asId<AssignmentId>(deps.ids.newId()),
    schoolId: actor.schoolId,
    authorId: actor.userId,
    notFor: [],
    ruled: publish ? ruledNow(draft, world.value.groups, []) : [],
    state: publish ? 'published' : 'held',
    version: 1,
    createdAt: now,
    publishedAt: publish ? now : null,
  }
  await addAssignment(tx, after)
  const reached = await settle(tx, after, world.value, now)
  return reached.ok ? ok({ before: null, after, learners: reached.value }) : reached
}

/**
 * Gives an assignment other settings, and publishes it in the same act when asked to; who has begun loses no time, and
 * no piece they have begun is exchanged.
 */
export async function changeAssignment(
  session: WorkSession,
  { assignment, goesTo, reach }: WorkInReach,
  draft: Draft,
  publish = false,
): Promise<WorkChanged> {
  const { tx, deps, actor, load } = session
  const next = changed(assignment, draft, (await begunIn(tx, assignment.id)).pieces)
  if (!next.ok) return next
  const world = await checkedDraft(
    tx,
    actor,
    { draft, authorId: assignment.authorId, stands: assignment },
    load,
  )
  if (!world.ok) return world
  const part = checkPart(reach, assignment, draft, whereIn(world.value))
  if (!part.ok) return part
  const now = deps.clock.now()
  const stands = publish ? publishedBy(reach, next.value, goesTo, now) : next.value
  const isOut = stands.state === 'published'
  const ruled = isOut ? ruledNow(stands, world.value.groups, assignment.ruled) : stands.ruled
  const after = { ...stands, ruled }
  await saveAssignment(tx, after)
  await rescore(tx, assignment, after)
  const reached = await settle(tx, after, world.value, now)
  return reached.ok ? ok({ before: assignment, after, learners: reached.value }) : reached
}

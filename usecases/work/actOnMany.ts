import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { Teacher } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { changed, checkPart, namedClasses, shifted } from '#core/work'
import type { WorkAct, WorkRefusal } from '#core/work'
import { begunIn, saveAssignment } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { whereIn } from './draft'
import type { DraftRefusal } from './draft'
import { publishAssignment } from './publishWork'
import type { WorkAtVersion } from './publishWork'
import { settle } from '../settling/settle'
import { writeDown } from './steps'
import type { WorkSession, WorkChange } from './workSession'
import { withdrawAssignment } from './withdrawWork'
import { workAt } from './workFor'
import { worldLoader } from '../ground/world'

/** What is done to several assignments at once. */
export type ManyAct =
  | { readonly kind: 'publish' }
  | { readonly kind: 'withdraw' }
  /** So many meetings later; below 0: earlier. */
  | { readonly kind: 'shift'; readonly meetings: number }

const WRITTEN_AS: Record<ManyAct['kind'], WorkAct> = {
  publish: 'published',
  withdraw: 'withdrawn',
  shift: 'shifted',
}

type ManyRefusal = DraftRefusal | AvailabilityRefusal | WorkRefusal
export type DoneToMany = Result<{ readonly works: number; readonly learners: number }, ManyRefusal>

/**
 * Publishes, takes back or moves several assignments as one step that one undo takes back: all of them or, with the
 * first refusal, none. Learners count once for each assignment.
 */
export async function actOnMany(
  deps: Deps,
  actor: Teacher,
  input: { readonly works: readonly WorkAtVersion[]; readonly act: ManyAct },
): Promise<DoneToMany> {
  return writing(deps.store, async (tx): Promise<DoneToMany> => {
    const done: WorkChange[] = []
    // classes and rosters are the same for all of them
    const load = worldLoader(tx, input.act.kind === 'publish' ? 'as-they-stand' : 'as-they-were')
    const asked = new Map(input.works.map((w) => [w.assignmentId, w]))
    for (const work of asked.values()) {
      const one = await actOnOne({ tx, deps, actor, load }, work, input.act)
      if (!one.ok) return one
      done.push(one.value)
    }
    await writeDown(tx, deps, actor, { what: WRITTEN_AS[input.act.kind], done })
    return ok({ works: done.length, learners: done.reduce((sum, d) => sum + d.learners, 0) })
  })
}

async function actOnOne(
  session: WorkSession,
  work: WorkAtVersion,
  act: ManyAct,
): Promise<Result<WorkChange, ManyRefusal>> {
  const { tx, deps, actor, load } = session
  switch (act.kind) {
    case 'publish':
      return publishAssignment(tx, deps, actor, work, load)
    case 'withdraw':
      return withdrawAssignment(tx, deps, actor, work)
    case 'shift':
      return shiftIn(session, work, act.meetings)
  }
}

async function shiftIn(
  { tx, deps, actor, load }: WorkSession,
  work: WorkAtVersion,
  meetings: number,
): Promise<Result<WorkChange, ManyRefusal>> {
  const found = await workAt(tx, actor, work)
  if (!found.ok) return found
  const { assignment: before, reach } = found.value
  const world = await load(before.authorId, namedClasses(before))
  const where = whereIn(world)
  const moved = shifted(before, meetings, world.around.grounds, where)
  if (!moved.ok) return moved
  const part = checkPart(reach, before, moved.value, where)
  if (!part.ok) return part
  const next = changed(before, moved.value, (await begunIn(tx, before.id)).pieces)
  if (!next.ok) return next
  await saveAssignment(tx, next.value)
  const reached = await settle(tx, next.value, world, deps.clock.now())
  // where an anchor points past the year, the refusal tells which work it is
  if (!reached.ok && reached.error.code === 'availability/anchor-past-year')
    return refuse({ code: 'work/past-the-year', field: 'window', title: before.title })
  return reached.ok ? ok({ before, after: next.value, learners: reached.value }) : reached
}

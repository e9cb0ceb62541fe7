import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, IsoDay, Result } from '#core/base'
import { canSeeResource } from '#core/access'
import type { Teacher } from '#core/access'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import type { SchoolYear } from '#core/calendar'
import { movedTo, placedDraft, takenFrom } from '#core/placing'
import type { MeetingDays, PlacingRefusal, ToLay } from '#core/placing'
import { draftOf } from '#core/work'
import type { Draft } from '#core/work'
import { groupsById, resourcesById } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { writeDown } from '../work/steps'
import { withdrawAssignment } from '../work/withdrawWork'
import { changeAssignment, openWorkSession, makeAssignment } from '../work/workSession'
import type { WorkChange, WorkActRefusal } from '../work/workSession'
import { workAt } from '../work/workFor'
import { columnsFor } from './columns'

export type PlacedWork = Result<{ readonly works: number }, PlacingRefusal | WorkActRefusal>

/**
 * Lays pieces on days for classes and groups, each as work of its own that is held until it is published; all as one
 * step. `stays`: through so many meetings of each class afterwards; null: without an end.
 */
export async function layPieces(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly targets: readonly Target[]
    readonly pieces: readonly ToLay[]
    readonly stays: number | null
  },
): Promise<PlacedWork> {
  return writing(deps.store, async (tx): Promise<PlacedWork> => {
    const { pieces, stays, targets } = input
    if (pieces.length === 0 || targets.length === 0)
      return refuse({ code: 'placing/nothing-to-lay', field: 'pieces' })
    const columns = await columnsFor(tx, actor, targets)
    if (!columns.ok) return columns
    const meetingDays = new Map(columns.value.map((c) => [c.key, c.meetingDays]))
    const found = await resourcesById(
      tx,
      pieces.map((p) => p.resourceId),
    )
    const outside = pieces.find((p) => columns.value.some((c) => isOutside(p.on, c.ground.year)))
    if (outside) return refuse({ code: 'placing/outside-year', field: 'on', on: outside.on })
    const session = openWorkSession(tx, deps, actor)
    const done: WorkChange[] = []
    for (const { resourceId, on } of pieces) {
      const of = found.get(resourceId)
      if (!of || !canSeeResource(actor, of)) return refuse({ code: 'access/not-found', what: 'piece' })
      const { title, kind } = of.resource
      const piece = { id: resourceId, revision: of.revision, title, kind }
      const whom = columns.value.map((c) => c.target)
      const made = await makeAssignment(
        session,
        placedDraft(piece, { on, stays, targets: whom, meetingDays }),
        false,
      )
      if (!made.ok) return made
      done.push(made.value)
    }
    await writeDown(tx, deps, actor, { what: 'made', done })
    return ok({ works: done.length })
  })
}

function isOutside(on: IsoDay, { firstOn, lastOn }: Pick<SchoolYear, 'firstOn' | 'lastOn'>): boolean {
  return on < firstOn || on > lastOn
}

interface PlacedAtVersion {
  readonly assignmentId: AssignmentId
  readonly version: number
  readonly target: Target
}

/**
 * Moves work that lies on a day to another one: for all classes and groups that it lies together for, or for one alone.
 * Refused when it hangs on a lesson, or goes by the hour.
 */
export async function movePlaced(
  deps: Deps,
  actor: Teacher,
  input: PlacedAtVersion & { readonly on: IsoDay; readonly alone: boolean },
): Promise<PlacedWork> {
  return writing(deps.store, async (tx): Promise<PlacedWork> => {
    const found = await workAt(tx, actor, input)
    if (!found.ok) return found
    const { assignment } = found.value
    const session = openWorkSession(tx, deps, actor)
    const draft = draftOf(assignment)
    const key = keyOf(input.target)
    const world = await session.load(assignment.authorId, found.value.goesTo)
    const years = [...world.classes.values()].map((c) => c.year)
    if (years.every((year) => isOutside(input.on, year)))
      return refuse({ code: 'placing/outside-year', field: 'on', on: input.on })
    const meetingDays = await meetingDaysOf(tx, draft, key, (classId) => world.classes.get(classId)?.calendar)
    const next = movedTo(draft, { on: input.on, key, alone: input.alone }, meetingDays)
    if (next === null) return refuse({ code: 'placing/not-by-days', field: 'on', title: assignment.title })
    const done = await changeAssignment(session, found.value, next)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: 'shifted', done: [done.value] })
    return ok({ works: 1 })
  })
}

/** Days on which the class of each target meets; learners by name go by those of the one that is moved. */
async function meetingDaysOf(
  tx: Connection,
  { targets }: Draft,
  lead: string,
  calendarOf: (classId: ClassId) => { readonly meetings: readonly { readonly on: IsoDay }[] } | undefined,
): Promise<MeetingDays> {
  const groups = await groupsById(
    tx,
    targets.flatMap(({ target }) => (target.kind === 'group' ? [target.groupId] : [])),
  )
  const classOf = (target: Target) => {
    if (target.kind === 'class') return target.classId
    return target.kind === 'group' ? groups.find((g) => g.id === target.groupId)?.classId : undefined
  }
  const days = (target: Target) => {
    const classId = classOf(target)
    return classId ? calendarOf(classId)?.meetings.map((m) => m.on) : undefined
  }
  const leading = targets.find((t) => keyOf(t.target) === lead)?.target
  const usual = (leading && days(leading)) ?? []
  return new Map(targets.map(({ target }) => [keyOf(target), days(target) ?? usual]))
}

/** Takes work from one class or group, or from all; taken from the last, it is withdrawn. */
export async function takePlaced(
  deps: Deps,
  actor: Teacher,
  input: Omit<PlacedAtVersion, 'target'> & { readonly target: Target | null },
): Promise<PlacedWork> {
  return writing(deps.store, async (tx): Promise<PlacedWork> => {
    const found = await workAt(tx, actor, input)
    if (!found.ok) return found
    const { target } = input
    const next = target ? takenFrom(draftOf(found.value.assignment), keyOf(target)) : null
    const done = next
      ? await changeAssignment(openWorkSession(tx, deps, actor), found.value, next)
      : await withdrawAssignment(tx, deps, actor, input)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: next ? 'changed' : 'withdrawn', done: [done.value] })
    return ok({ works: 1 })
  })
}

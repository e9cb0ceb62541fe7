import type { RosterCommand } from '#core/audience'
import { groupBy, ok } from '#core/base'
import {
  deleteForGood,
  enrol,
  groupsOf,
  isInUse,
  learnersOf,
  leaveClass,
  saveGroup,
  setGrades,
  setMember,
} from '#db/repositories'
import { classFor } from '../ground/classAccess'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { refreshWork } from '../settling/refreshWork'

async function stepRoster(at: StepIn, command: RosterCommand): Promise<Stepped> {
  const { tx, deps, actor, way } = at
  const { classId } = command
  const may = await classFor(tx, actor, classId, 'run')
  if (!may.ok) return may
  const now = deps.clock.now()
  if (way === 'undo') {
    for (const id of command.learnerIds) await leaveClass(tx, classId, id, now)
    await leave(at, command)
  } else {
    await enrol(tx, classId, command.learnerIds, now)
    await comeBack(at, command)
  }
  await grade(at, command)
  await refreshWork(tx, [classId], now)
  return ok(touching([classId]))
}

/** Out of the groups that the table put them into; a group that was made for it, and that nobody uses, goes. */
async function leave({ tx }: StepIn, { classId, members, madeGroups }: RosterCommand): Promise<void> {
  for (const { groupId, learnerIds } of members)
    for (const id of learnerIds) await setMember(tx, groupId, id, false)
  const groups = await groupsOf(tx, [classId])
  for (const { groupId } of madeGroups) {
    const group = groups.find((g) => g.id === groupId)
    const thing = { kind: 'group', id: groupId } as const
    if (group && group.learnerIds.length === 0 && !(await isInUse(tx, thing))) await deleteForGood(tx, thing)
  }
}

/** Into the groups again, which are made anew where they went. */
async function comeBack({ tx, actor }: StepIn, command: RosterCommand): Promise<void> {
  const there = new Set((await groupsOf(tx, [command.classId])).map((g) => g.id))
  for (const { groupId, name } of command.madeGroups)
    if (!there.has(groupId)) {
      there.add(groupId)
      await saveGroup(tx, {
        id: groupId,
        schoolId: actor.schoolId,
        ownerId: actor.userId,
        classId: command.classId,
        alsoIn: [],
        name,
        archivedAt: null,
        rule: null,
        learnerIds: [],
      })
    }
  for (const { groupId, learnerIds } of command.members.filter((m) => there.has(m.groupId)))
    for (const id of learnerIds) await setMember(tx, groupId, id, true)
}

/** Grades as they were, or as the table said; what somebody has set since stays. */
async function grade({ tx, way }: StepIn, { classId, grades }: RosterCommand): Promise<void> {
  const roster = new Map(((await learnersOf(tx, [classId])).get(classId) ?? []).map((l) => [l.id, l.grade]))
  const asked = grades
    .map(({ learnerId, from, to }) =>
      way === 'undo' ? { learnerId, is: to, to: from } : { learnerId, is: from, to },
    )
    .filter(({ learnerId, is }) => roster.get(learnerId) === is)
  for (const [to, list] of groupBy(asked, (g) => g.to))
    await setGrades(
      tx,
      list.map((g) => g.learnerId),
      to,
    )
}

/** Learners who came by a table go again, or come once more, with their groups and grades. */
export const rosterStepping: SteppingOf<RosterCommand> = { roster: stepRoster }

import { ok, refuse } from '#core/base'
import type { ClassId, IsoDay, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { keyOf } from '#core/audience'
import type { Target } from '#core/audience'
import { classesOfGroup, groupsOf, learnersOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { ownClasses } from '../ground/ownClasses'

/** A class, group or learner for whom pieces are laid, with the days on which their class meets. */
export interface PlacingColumn {
  readonly key: string
  readonly target: Target
  readonly name: string
  readonly learnerIds: readonly UserId[]
  readonly ground: ClassGround
  readonly meetingDays: readonly IsoDay[]
  /** Of a class its groups and learners, who may have work of their own. */
  readonly parts: readonly { readonly key: string; readonly name: string }[]
}

/** Classes of the actor, groups and learners in them, as columns in the order in which they are asked for. */
export async function columnsFor(
  tx: Connection,
  actor: Teacher,
  targets: readonly Target[],
): Promise<Result<readonly PlacingColumn[], AccessRefusal>> {
  const all = await allColumns(tx, actor)
  const asked = [...new Set(targets.map(keyOf))]
  const found = asked.flatMap((key) => all.get(key) ?? [])
  return found.length === asked.length
    ? ok(found)
    : refuse({ code: 'access/not-found', what: 'class, group or learner' })
}

async function allColumns(tx: Connection, actor: Teacher): Promise<ReadonlyMap<string, PlacingColumn>> {
  const records = await ownClasses(tx, actor)
  const grounds = await groundsOf(tx, records)
  const classIds = records.map((r) => r.id)
  const learners = await learnersOf(tx, classIds)
  const days = new Map(
    [...grounds].map(([id, { calendar }]) => [id, [...new Set(calendar.meetings.map((m) => m.on))]]),
  )
  const groups = await groupsOf(tx, classIds)
  const partsOf = (classId: ClassId): PlacingColumn['parts'] => [
    ...groups
      .filter((g) => classesOfGroup(g).includes(classId))
      .map((g) => ({ key: keyOf({ kind: 'group', groupId: g.id }), name: g.name })),
    ...(learners.get(classId) ?? []).map((l) => ({
      key: keyOf({ kind: 'learner', learnerId: l.id }),
      name: l.name,
    })),
  ]
  const column = (target: Target, classId: ClassId, name: string, learnerIds: readonly UserId[]) => {
    const ground = grounds.get(classId)
    const parts = target.kind === 'class' ? partsOf(classId) : []
    const meetingDays = days.get(classId) ?? []
    const of = { key: keyOf(target), target, name, learnerIds, meetingDays, parts }
    return ground ? [[of.key, { ...of, ground }] as const] : []
  }
  const ofClasses = records.flatMap(({ id, name }) =>
    column(
      { kind: 'class', classId: id },
      id,
      name,
      (learners.get(id) ?? []).map((l) => l.id),
    ),
  )
  const people = new Set([...learners.values()].flat().map((l) => l.id))
  const shortNames = new Map(records.map((r) => [r.id, r.shortName]))
  const ofGroups = groups.flatMap((g) =>
    column(
      { kind: 'group', groupId: g.id },
      classesOfGroup(g).find((c) => grounds.has(c)) ?? g.classId,
      `${g.name}, ${classesOfGroup(g)
        .flatMap((c) => shortNames.get(c) ?? [])
        .join(' and ')}`,
      g.learnerIds.filter((l) => people.has(l)),
    ),
  )
  // who is in several classes goes by the first of them
  const ofLearners = [...records]
    .reverse()
    .flatMap(({ id: classId, shortName }) =>
      (learners.get(classId) ?? []).flatMap(({ id, name }) =>
        column({ kind: 'learner', learnerId: id }, classId, `${name}, ${shortName}`, [id]),
      ),
    )
  return new Map([...ofClasses, ...ofGroups, ...ofLearners])
}

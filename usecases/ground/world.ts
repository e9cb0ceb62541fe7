import { asId } from '#core/base'
import type { ClassId, UserId } from '#core/base'
import { trailOf } from '#core/versions'
import type { Surroundings, VersionsAround } from '#core/work'
import {
  classesById,
  classesTaughtBy,
  groupsOf,
  learnersOf,
  trailSettingsOf,
  trailsIn,
  trailsMade,
} from '#db/repositories'
import type { Connection, GroupRecord, Person } from '#db/repositories'
import { groundsOf } from './classGrounds'
import type { ClassGround } from './classGrounds'
import { asTheyStand } from './meansOnStandards'

/**
 * The classes, groups and people among whom an author's assignments are resolved; `around` is what the core
 * needs of it.
 */
export interface World {
  readonly classes: ReadonlyMap<ClassId, ClassGround>
  readonly groups: readonly GroupRecord[]
  readonly people: ReadonlyMap<UserId, Person>
  readonly around: Surroundings
}

/**
 * Loads worlds, each class, roster and layout once however many assignments are resolved. Groups by rule have the
 * learners that they had when they were last kept, or (which reads all results of their classes) those of now.
 */
export function worldLoader(
  tx: Connection,
  groupsBy: 'as-they-were' | 'as-they-stand' = 'as-they-were',
): (authorId: UserId, classIds: readonly ClassId[]) => Promise<World> {
  const known = new Map<string, World>()
  const taughtBy = new Map<UserId, Awaited<ReturnType<typeof classesTaughtBy>>>()
  return async (authorId, classIds) => {
    const taught = taughtBy.get(authorId) ?? (await classesTaughtBy(tx, authorId))
    taughtBy.set(authorId, taught)
    const more = classIds.filter((id) => !taught.some((c) => c.id === id))
    const key = [authorId, ...[...more].sort()].join(' ')
    const ready = known.get(key)
    if (ready) return ready
    const world = await load(tx, [...taught, ...(await classesById(tx, more))], groupsBy)
    known.set(key, world)
    return world
  }
}

async function load(
  tx: Connection,
  records: Awaited<ReturnType<typeof classesTaughtBy>>,
  groupsBy: 'as-they-were' | 'as-they-stand',
): Promise<World> {
  const ids = records.map((r) => r.id)
  const learners = await learnersOf(tx, ids)
  const kept = await groupsOf(tx, ids)
  const groups = groupsBy === 'as-they-stand' ? await asTheyStand(tx, kept) : kept
  const classes = await groundsOf(tx, records)
  const people = new Map([...learners.values()].flat().map((p) => [p.id, p]))
  const roster = {
    classes: new Map([...learners].map(([id, list]) => [id, list.map((p) => p.id)])),
    groups: new Map(groups.map((g) => [g.id, g.learnerIds.filter((l) => people.has(l))])),
    joinedAt: new Map([...learners].map(([id, list]) => [id, new Map(list.map((p) => [p.id, p.joinedAt]))])),
    startsAt: new Map([...learners].map(([id, list]) => [id, new Map(list.map((p) => [p.id, p.startsAt]))])),
  }
  const grounds = new Map([...classes].map(([id, c]) => [id, c.ground]))
  const versions = await versionsIn(tx, records)
  return { classes, groups, people, around: { grounds, roster, people, versions } }
}

/** The trails of classes of one school, and for which of them it has layers. */
async function versionsIn(
  tx: Connection,
  records: Awaited<ReturnType<typeof classesTaughtBy>>,
): Promise<VersionsAround> {
  const schoolId = records[0]?.schoolId
  if (schoolId === undefined) return { trails: [], trailOf: () => asId('none'), made: new Map() }
  const { trails } = await trailSettingsOf(tx, schoolId)
  const inClass = await trailsIn(
    tx,
    records.map((r) => r.id),
  )
  return {
    trails,
    trailOf: (classId, learnerId) => trailOf(trails, inClass.get(classId), learnerId),
    made: await trailsMade(tx, schoolId),
  }
}

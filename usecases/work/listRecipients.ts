import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import { classesOfGroup, groupsOf, learnersOf } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { asTheyStand } from '../ground/meansOnStandards'
import { worldLoader } from '../ground/world'

/** Classes, groups and learners to whom the actor can assign. */
export async function listRecipients(deps: Deps, actor: Teacher) {
  const tx = deps.store.read
  const world = await worldLoader(tx)(actor.userId, [])
  const ids = [...world.classes.keys()]
  const learners = await learnersOf(tx, ids)
  const kept = (await groupsOf(tx, ids)).filter((g) => g.archivedAt === null)
  const groups = await asTheyStand(tx, kept)
  return ok({
    classes: [...world.classes.values()].map(({ record }) => ({
      id: record.id,
      name: record.name,
      course: record.course,
      learners: (learners.get(record.id) ?? []).map(({ id, name, grade }) => ({ id, name, grade })),
    })),
    groups: groups.map((g) => ({
      id: g.id,
      classIds: classesOfGroup(g).filter((c) => world.classes.has(c)),
      name: g.name,
      learnerIds: g.learnerIds.filter((l) => world.people.has(l)),
      isByRule: g.rule !== null,
    })),
  })
}

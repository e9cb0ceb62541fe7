import type { RosterCommand } from '#core/audience'
import { asId } from '#core/base'
import type { ClassId, GroupId, UserId } from '#core/base'
import type { Teacher } from '#core/access'
import type { RosterEntry } from '#core/formats'
import { groupsOf, learnersOf, saveGroup } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'

function idsOf(entries: readonly RosterEntry[], idOf: ReadonlyMap<RosterEntry, UserId>): readonly UserId[] {
  return entries.flatMap((e) => idOf.get(e) ?? [])
}

/** The groups that rows name, with who is to be in them. */
export function namedGroups(
  entries: readonly RosterEntry[],
  idOf: ReadonlyMap<RosterEntry, UserId>,
): ReadonlyMap<string, readonly UserId[]> {
  const wanted = new Map<string, UserId[]>()
  for (const entry of entries)
    for (const name of entry.groups) wanted.set(name, [...(wanted.get(name) ?? []), ...idsOf([entry], idOf)])
  return wanted
}

/** Grades that the table says of those who were there, with what stood before. */
export async function gradesToSet(
  tx: Connection,
  classId: ClassId,
  of: { readonly known: readonly RosterEntry[]; readonly idOf: ReadonlyMap<RosterEntry, UserId> },
): Promise<RosterCommand['grades']> {
  const roster = new Map(((await learnersOf(tx, [classId])).get(classId) ?? []).map((l) => [l.id, l.grade]))
  return of.known.flatMap((entry) => {
    const learnerId = of.idOf.get(entry)
    if (learnerId === undefined || entry.grade === null) return []
    const from = roster.get(learnerId) ?? null
    return entry.grade === from ? [] : [{ learnerId, from, to: entry.grade }]
  })
}

/** Puts people into groups by their names, which are made where there are none. */
export async function addToGroups(
  tx: Connection,
  deps: Deps,
  { classId, owner }: { readonly classId: ClassId; readonly owner: Teacher },
  wanted: ReadonlyMap<string, readonly UserId[]>,
): Promise<Pick<RosterCommand, 'members' | 'madeGroups'>> {
  const existing = await groupsOf(tx, [classId])
  const members: RosterCommand['members'][number][] = []
  const madeGroups: RosterCommand['madeGroups'][number][] = []
  for (const [name, ids] of wanted) {
    const known = existing.find((g) => g.name.toLowerCase() === name.toLowerCase())
    const groupId = known?.id ?? asId<GroupId>(deps.ids.newId())
    const came = ids.filter((id) => !known?.learnerIds.includes(id))
    if (came.length > 0) members.push({ groupId, learnerIds: came })
    if (!known) madeGroups.push({ groupId, name: name.slice(0, 40) })
    await saveGroup(
      tx,
      known
        ? { ...known, learnerIds: [...new Set([...known.learnerIds, ...ids])] }
        : {
            id: groupId,
            schoolId: owner.schoolId,
            ownerId: owner.userId,
            classId,
            alsoIn: [],
            name: name.slice(0, 40),
            archivedAt: null,
            rule: null,
            learnerIds: ids,
          },
    )
  }
  return { members, madeGroups }
}

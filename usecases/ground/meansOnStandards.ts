import { isInGroup } from '#core/audience'
import type { GroupRule } from '#core/audience'
import { groupBy } from '#core/base'
import type { ClassId, GroupId, UserId } from '#core/base'
import { meansOnStandards, tryThatCounts } from '#core/evidence'
import type { CountedTry, MeanOnStandards } from '#core/evidence'
import { rulesOf } from '#core/work'
import {
  assignmentIdsNear,
  assignmentsById,
  attemptsOf,
  classesOfGroup,
  formName,
  learnersOf,
  piecesIn,
} from '#db/repositories'
import type { Connection, GroupRecord, Person } from '#db/repositories'

/** How learners of classes stand on some standards, by the tries that count. */
export async function meansInClasses(
  tx: Connection,
  classIds: readonly ClassId[],
  learners: ReadonlySet<UserId>,
  standards: ReadonlySet<string>,
): Promise<ReadonlyMap<UserId, MeanOnStandards>> {
  return meansOnStandards(standards, await countedTries(tx, classIds, learners, standards))
}

/**
 * Groups with the learners that they have now: those by rule as their classes stand, the others as they are. Groups of
 * the same classes share what was loaded.
 */
export async function asTheyStand(
  tx: Connection,
  groups: readonly GroupRecord[],
): Promise<readonly GroupRecord[]> {
  const byClass = groupBy(
    groups.filter((g) => g.rule !== null),
    (g) => classesOfGroup(g).join(' '),
  )
  if (byClass.size === 0) return groups
  const members = new Map<GroupId, readonly UserId[]>()
  for (const own of byClass.values()) {
    const classIds = own[0] ? classesOfGroup(own[0]) : []
    const people = peopleIn(await learnersOf(tx, classIds))
    const isJudged = own.some((g) => g.rule?.kind === 'standing')
    const tries = isJudged ? await countedTries(tx, classIds, new Set(people.map((l) => l.id)), null) : []
    for (const { id, rule } of own) {
      if (rule === null) continue
      const standing = meansByRule(rule, tries)
      const isIn = (l: Person) => isInGroup(rule, { grade: l.grade, standing: standing.get(l.id) ?? null })
      members.set(
        id,
        people.filter(isIn).map((l) => l.id),
      )
    }
  }
  return groups.map((g) => ({ ...g, learnerIds: members.get(g.id) ?? g.learnerIds }))
}

/** Everybody in some classes, each once. */
function peopleIn(rosters: ReadonlyMap<ClassId, readonly Person[]>): readonly Person[] {
  return [...new Map([...rosters.values()].flat().map((l) => [l.id, l])).values()]
}

function meansByRule(rule: GroupRule, tries: readonly CountedTry[]): ReadonlyMap<UserId, MeanOnStandards> {
  if (rule.kind === 'grade') return new Map()
  const all = tries.flatMap((t) => t.items.flatMap((i) => i.standard ?? []))
  return meansOnStandards(new Set(rule.standards.length === 0 ? all : rule.standards), tries)
}

/** The tries that count of pieces with items of these standards; null: of any. */
async function countedTries(
  tx: Connection,
  classIds: readonly ClassId[],
  learners: ReadonlySet<UserId>,
  standards: ReadonlySet<string> | null,
): Promise<readonly CountedTry[]> {
  const work = await assignmentsById(tx, await assignmentIdsNear(tx, classIds))
  const forms = await piecesIn(
    tx,
    work.flatMap((w) => w.pieces),
  )
  const asked = work.flatMap((w) =>
    w.pieces.flatMap((piece) => {
      const items = forms.get(formName(piece))?.items ?? []
      const has = items.some((i) => i.standard !== null && (standards === null || standards.has(i.standard)))
      return has ? [{ id: w.id, pieceId: piece.id, items, kept: rulesOf(w, piece).kept }] : []
    }),
  )
  const tries = await attemptsOf(tx, [...new Set(asked.map((a) => a.id))])
  const triesOf = groupBy(tries, (t) => `${t.assignmentId} ${t.pieceId} ${t.learnerId}`)
  return asked.flatMap(({ id, pieceId, items, kept }) =>
    [...learners].flatMap((learnerId) => {
      const standing = tryThatCounts(triesOf.get(`${id} ${pieceId} ${learnerId}`) ?? [], kept)
      return standing?.score ? [{ learnerId, score: standing.score, items }] : []
    }),
  )
}

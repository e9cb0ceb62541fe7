import { groupBy, ok, same } from '#core/base'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { checkFiling, foldedName, refiled } from '#core/filing'
import type { Filing, FilingRefusal, Renamed } from '#core/filing'
import type { JournalCommand } from '#core/journal'
import { commandOf, draftOf, idsTouched } from '#core/work'
import { addToJournal, assignmentIdsNear, assignmentsById, filingOf, saveFiling } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { changedMeanwhile } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { turnQueuesOfClasses } from '../settling/turnQueues'
import { changeAssignment, openWorkSession } from '../work/workSession'
import type { WorkChange, WorkActRefusal } from '../work/workSession'
import { workFor } from '../work/workFor'

/** A class's headings and categories, with how many pieces of its work are under each name. */
export async function showFiling(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: { readonly classId: ClassId },
) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, input.classId, 'see')
  if (!found.ok) return found
  const { filing, version } = await filingOf(tx, input.classId)
  const works = await worksOf(tx, input.classId)
  return ok({
    classId: input.classId,
    name: found.value.name,
    version,
    filing,
    mayChange: (await classFor(tx, actor, input.classId, 'run')).ok,
    headings: inUse(works.map((w) => w.about.heading)),
    categories: inUse(works.map((w) => w.about.category)),
  })
}

/** Names with how often they stand there, each in its first spelling. */
function inUse(names: readonly string[]) {
  const given = names.map((n) => n.trim()).filter((n) => n !== '')
  return [...groupBy(given, foldedName).values()].map((list) => ({ name: list[0] ?? '', count: list.length }))
}

async function worksOf(tx: Connection, classId: ClassId) {
  const works = await assignmentsById(tx, await assignmentIdsNear(tx, [classId]))
  return works.filter((w) => w.state !== 'withdrawn')
}

export type FilingKept = Result<
  { readonly version: number; readonly works: number },
  FilingRefusal | WorkActRefusal | AccessRefusal
>

/**
 * Keeps a class's headings and categories in this order. Work of this class alone that is under a name that was changed
 * is filed under the new one, as the same step; work that goes to other classes, too, keeps the name it has there.
 */
export async function keepFiling(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly version: number
    readonly filing: Filing
    readonly renamed: readonly Renamed[]
  },
): Promise<FilingKept> {
  return writing(deps.store, async (tx): Promise<FilingKept> => {
    const { classId, filing, renamed } = input
    const may = await classFor(tx, actor, classId, 'run')
    if (!may.ok) return may
    const checked = checkFiling(filing)
    if (!checked.ok) return checked
    const stands = await filingOf(tx, classId)
    if (stands.version !== input.version) {
      const isIt = (act: JournalCommand) => act.kind === 'filing' && act.classId === classId
      return changedMeanwhile(tx, actor, { seen: input.version, now: stands.version, id: classId, isIt })
    }
    if (same(stands.filing, filing)) return ok({ version: stands.version, works: 0 })
    const session = openWorkSession(tx, deps, actor)
    const done: WorkChange[] = []
    for (const work of await worksOf(tx, classId)) {
      const about = refiled(work.about, renamed)
      if (about === work.about) continue
      const found = await workFor(tx, actor, work.id)
      if (!found.ok) return found
      if (!found.value.goesTo.every((id) => id === classId)) continue
      const changed = await changeAssignment(session, found.value, { ...draftOf(work), about })
      if (!changed.ok) return changed
      done.push(changed.value)
    }
    await saveFiling(tx, { ...stands, filing })
    await turnQueuesOfClasses(tx, [classId], deps.clock.now())
    await addToJournal(tx, {
      schoolId: actor.schoolId,
      actorId: actor.userId,
      touches: [...new Set([classId, ...idsTouched(done)])],
      at: deps.clock.now(),
      command: {
        kind: 'filing',
        classId,
        from: stands.filing,
        to: filing,
        works: done.map((d) => commandOf('changed', d)),
      },
    })
    return ok({ version: stands.version + 1, works: done.length })
  })
}

import { ok } from '#core/base'
import type { Teacher } from '#core/access'
import { sayAct } from '#core/journal'
import { historyOf, markJournal, ownActAt, undoable } from '#db/repositories'
import { classesInView } from '../ground/classAccess'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { afterAct } from '../pacing/afterAct'
import { stepAct } from './stepping'

const MOST_SHOWN = 60

/**
 * Takes back the actor's last act, or the one of this number; null when there is none. Refused when somebody changed
 * the same thing since.
 */
export async function undo(deps: Deps, actor: Teacher, seq: number | null = null) {
  return step(deps, actor, 'undo', seq)
}

/**
 * Passes over the actor's last act, which can be taken back no longer: it stays done and in the history, and undo goes
 * on with the one before. Null when there is none.
 */
export async function passOver(deps: Deps, actor: Teacher) {
  return writing(deps.store, async (tx) => {
    const { undo: entry } = await undoable(tx, actor.userId)
    if (!entry) return ok(null)
    await markJournal(tx, entry.seq, 'passed')
    return ok(await afterAct(tx, actor, { classIds: [], planning: null }))
  })
}

/** Does the last undone act again; null when there is none. */
export async function redo(deps: Deps, actor: Teacher) {
  return step(deps, actor, 'redo', null)
}

async function step(deps: Deps, actor: Teacher, way: 'undo' | 'redo', seq: number | null) {
  return writing(deps.store, async (tx) => {
    const entry =
      seq === null ? (await undoable(tx, actor.userId))[way] : await ownActAt(tx, actor.userId, seq)
    if (!entry) return ok(null)
    const done = await stepAct({ tx, deps, actor, way }, entry.command.kind, entry.command)
    if (!done.ok) return done
    await markJournal(tx, entry.seq, way === 'undo' ? 'undone' : 'done')
    return ok(await afterAct(tx, actor, done.value))
  })
}

/**
 * The latest acts on the classes in view, on their plans and year: what, who, when; newest first.
 */
export async function showHistory(deps: Deps, actor: Teacher) {
  const tx = deps.store.read
  const records = await classesInView(tx, actor)
  const ids = new Set(records.flatMap((r) => [r.id, r.yearId, ...(r.planId ? [r.planId] : [])]))
  const acts = await historyOf(tx, actor.schoolId, [...ids], MOST_SHOWN)
  return ok({
    acts: acts.map(({ seq, at, by, actorId, state, command }) => ({
      seq,
      at,
      by,
      undone: state === 'undone',
      mayUndo: state === 'done' && actorId === actor.userId,
      command: sayAct(command),
    })),
  })
}

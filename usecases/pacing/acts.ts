import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import { isTeacher } from '#core/access'
import type { Actor } from '#core/access'
import type { CalendarRefusal } from '#core/calendar'
import { act, checkOutcome, inverseOf, withFreeNoteIds } from '#core/pacing'
import type { PacingCommand, PacingRefusal, PacingState } from '#core/pacing'
import { addToJournal, classesById, historyOf, markJournal, undoable } from '#db/repositories'
import type { Connection, JournalCommand } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { classesInView } from '../teaching/classAccess'
import { stepsIn, takenBack } from '#core/work'
import { refreshWork } from '../work/refreshWork'
import { stepFiling } from '../filing/keepFiling'
import { stepSeries } from '../series/stepSeries'
import { stepStanding } from '../standing/keepStanding'
import { stepWorks } from '../work/steps'
import type { Stepped } from '../work/steps'
import { deskWork, stepOf, steps } from './desk'
import { groundsOf } from './grounds'
import { loadPlanning, namedIn, savePlanning } from './planningState'
import type { Planning } from './planningState'

const MOST_SHOWN = 60

/**
 * Performs one planning act, however many changes it consists of: re-lays its classes, moves their anchored
 * work and writes the act down, in one transaction.
 */
export async function doCommand(deps: Deps, actor: Actor, asked: PacingCommand) {
  return writing(deps.store, async (tx) => {
    const planning = await loadPlanning(tx, actor, asked)
    if (!planning.ok) return planning
    const command = withFreeNoteIds(asked, planning.value.year.year.notes, deps.ids.newId)
    const done = await perform(tx, planning.value, command, true)
    if (!done.ok) return done
    const { classIds, yearIds, planIds } = namedIn(command)
    await addToJournal(tx, {
      schoolId: actor.schoolId,
      touches: [...classIds, ...yearIds, ...planIds],
      actorId: actor.userId,
      at: deps.clock.now(),
      command,
    })
    return ok(await replanned(tx, deps, actor, done.value))
  })
}

/**
 * Takes back the actor's last act; null when there is none. Refused when somebody changed the same thing
 * since.
 */
export async function undo(deps: Deps, actor: Actor) {
  return step(deps, actor, 'undo')
}

/** Does the last undone act again; null when there is none. */
export async function redo(deps: Deps, actor: Actor) {
  return step(deps, actor, 'redo')
}

async function step(deps: Deps, actor: Actor, way: 'undo' | 'redo') {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  return writing(deps.store, async (tx) => {
    const entry = (await undoable(tx, actor.userId))[way]
    if (!entry) return ok(null)
    if (!isPlanning(entry.command))
      return stepOnWork(tx, deps, actor, way, { seq: entry.seq, command: entry.command })
    const command = way === 'undo' ? inverseOf(entry.command) : entry.command
    const planning = await loadPlanning(tx, actor, command)
    if (!planning.ok) return planning
    const done = await perform(tx, planning.value, command, false)
    if (!done.ok) return done
    await markJournal(tx, entry.seq, way === 'undo' ? 'undone' : 'done')
    return ok(await replanned(tx, deps, actor, done.value))
  })
}

async function stepOnWork(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  way: 'undo' | 'redo',
  entry: { readonly seq: number; readonly command: OtherCommand },
) {
  const done = await stepped(tx, deps, actor, way, entry.command)
  if (!done.ok) return done
  await markJournal(tx, entry.seq, way === 'undo' ? 'undone' : 'done')
  const inView = new Set((await classesInView(tx, actor)).map((c) => c.id))
  const affected = done.value.filter((id) => inView.has(id))
  const grounds = await groundsOf(tx, await classesById(tx, affected))
  return ok({
    classes: [],
    affected,
    work: await deskWork(tx, grounds),
    moved: 0,
    stuck: [],
    steps: await steps(tx, actor),
    year: null,
    plans: [],
  })
}

type OtherCommand = Exclude<JournalCommand, PacingCommand>

function isPlanning(command: JournalCommand): command is PacingCommand {
  return !['work', 'works', 'series', 'standing', 'filing'].includes(command.kind)
}

/** Takes an act that is no planning act back, or does it again; tells which classes it touched. */
async function stepped(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  way: 'undo' | 'redo',
  command: OtherCommand,
): Promise<Stepped> {
  switch (command.kind) {
    case 'series':
      return stepSeries(tx, deps, actor, way, command)
    case 'filing':
      return stepFiling(tx, deps, actor, way, command)
    case 'standing':
      return stepStanding(tx, actor, way, command)
    case 'work':
    case 'works': {
      const changed = stepsIn(command)
      // what was done last is taken back first
      const acts = way === 'undo' ? [...changed].reverse().map(takenBack) : changed
      return stepWorks(tx, deps, actor, acts)
    }
  }
}

interface Done {
  readonly planning: Planning
  readonly next: PacingState
  readonly touched: Awaited<ReturnType<typeof savePlanning>>
}

async function perform(
  tx: Connection,
  planning: Planning,
  command: PacingCommand,
  isNew: boolean,
): Promise<Result<Done, PacingRefusal | CalendarRefusal>> {
  const next = act(planning.state, command)
  if (!next.ok) return next
  // what is taken back was good once: only new acts are asked whether their fixed dates can be met
  const bad = isNew ? checkOutcome(next.value, command) : null
  if (bad) return refuse(bad)
  return ok({
    planning,
    next: next.value,
    touched: await savePlanning(tx, planning, next.value),
  })
}

/** What changed, for the desk of the one who did it. */
async function replanned(tx: Connection, deps: Deps, actor: Actor, { planning, next, touched }: Done) {
  const { moved, stuck } = await refreshWork(tx, touched, deps.clock.now())
  const inView = new Set((await classesInView(tx, actor)).map((c) => c.id))
  const affected = touched.filter((id) => inView.has(id))
  const classes = await classesById(tx, affected)
  return {
    classes: classes.map(({ id, version, pacing, pattern }) => ({ id, version, pacing, pattern })),
    affected,
    work: await deskWork(tx, await groundsOf(tx, classes)),
    moved,
    stuck,
    steps: await steps(tx, actor),
    year: next.year === planning.state.year ? null : next.year,
    plans: [...next.plans.values()].filter((p) => p !== planning.state.plans.get(p.id)),
  }
}

/**
 * The latest planning acts on the classes in view, on their plans and year: what, who, when; newest first.
 */
export async function showHistory(deps: Deps, actor: Actor) {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const records = await classesInView(tx, actor)
  const ids = new Set(records.flatMap((r) => [r.id, r.yearId, ...(r.planId ? [r.planId] : [])]))
  const acts = await historyOf(tx, actor.schoolId, [...ids], MOST_SHOWN)
  return ok({
    acts: acts.map(({ seq, at, by, state, command }) => ({
      seq,
      at,
      by,
      undone: state === 'undone',
      command: stepOf(command),
    })),
  })
}

import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ClassId, PlanId, Result } from '#core/base'
import { applyCommand } from '#core/pacing'
import type { PacingCommand, Plan } from '#core/pacing'
import { DoCommand, Redo, ShowDesk, Undo } from '#shared/contracts/pacing'
import type { Desk, DeskClass, Replanned } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '../wire/call'
import { columnOf } from './deskColumn'
import type { DeskColumn } from './deskColumn'
import { useMe } from './me'

/** The planning desk: what the server last said, laid out here with the same core. */
export const useDesk = defineStore('desk', () => {
  const desk = shallowRef<Desk | null>(null)
  const problem = shallowRef<Refusal | null>(null)
  const pending = ref(0)
  const hidden = ref<ReadonlySet<ClassId>>(new Set())

  const loaded = computed(() => desk.value !== null)
  const busy = computed(() => pending.value > 0)
  const year = computed(() => desk.value?.year ?? null)
  const plans = computed<readonly Plan[]>(() => desk.value?.plans ?? [])
  const classes = computed<readonly DeskClass[]>(() => desk.value?.classes ?? [])
  const work = computed(() => desk.value?.work ?? [])
  const steps = computed(() => desk.value?.steps ?? { undo: null, redo: null })
  const zone = computed(() => year.value?.zone ?? 'UTC')
  // a class object is replaced when it changes, so a column is computed once for each
  const known = new WeakMap<DeskClass, DeskColumn>()
  const columns = computed<readonly DeskColumn[]>(() => classes.value.map((c) => {
    const ready = known.get(c)
    if (ready) return ready
    const made = columnOf(c, year.value, planOf(c.planId))
    known.set(c, made)
    return made
  }))
  const shown = computed(() => columns.value.filter(c => !hidden.value.has(c.of.id)))

  function planOf(id: PlanId | null): Plan | null {
    return plans.value.find(p => p.id === id) ?? null
  }

  /** Loads the desk, once unless asked `anew`. */
  async function load(anew = false): Promise<void> {
    if (desk.value && !anew) return
    const reply = await call(ShowDesk)
    if (reply.ok) {
      useMe().hear(reply.value.now)
      desk.value = reply.value
      problem.value = null
    }
    else problem.value = reply.error
  }

  function replaceClass(next: Pick<DeskClass, 'id' | 'version' | 'pacing'>): void {
    if (!desk.value) return
    desk.value = { ...desk.value, classes: desk.value.classes.map(c => (c.id === next.id ? { ...c, ...next } : c)) }
  }

  function take(done: Replanned): void {
    replaceClass({ id: done.classId, version: done.version, pacing: done.pacing })
    if (!desk.value) return
    desk.value = { ...desk.value, steps: done.steps, work: [...desk.value.work.filter(w => w.classId !== done.classId), ...done.work] }
  }

  /** Performs a planning act: shown at once, kept when the server agrees, put back when it does not. */
  async function act(command: PacingCommand): Promise<Result<Replanned, Refusal>> {
    const column = columns.value.find(c => c.of.id === command.classId)
    const before = column?.of
    if (column?.plan && before) {
      const guess = applyCommand(before.pacing, command, { plan: column.plan, hasMeeting: () => true })
      if (guess.ok) replaceClass({ id: before.id, version: before.version, pacing: guess.value })
    }
    pending.value++
    const reply = await call(DoCommand, { body: command as never })
    pending.value--
    if (reply.ok) take(reply.value)
    else if (reply.error.code === 'pacing/changed-meanwhile') await load(true)
    else if (before) replaceClass(before)
    return reply
  }

  /** Takes back, or does again, the last own act. */
  async function step(way: 'undo' | 'redo'): Promise<Result<Replanned | null, Refusal>> {
    pending.value++
    const reply = await call(way === 'undo' ? Undo : Redo)
    pending.value--
    if (reply.ok && reply.value) take(reply.value)
    else if (!reply.ok) await load(true)
    return reply
  }

  /** Shows or hides a class's column. */
  function toggle(id: ClassId): void {
    const next = new Set(hidden.value)
    if (!next.delete(id)) next.add(id)
    if (next.size < classes.value.length) hidden.value = next
  }

  return { desk, problem, loaded, busy, year, plans, classes, work, steps, zone, columns, shown, hidden, planOf, load, act, step, toggle }
})

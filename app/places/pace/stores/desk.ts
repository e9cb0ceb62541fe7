import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ClassId, PlanId, Result } from '#core/base'
import type { PacingCommand, Plan } from '#core/pacing'
import { DoCommand, PassOver, Redo, ShowDesk, Undo } from '#shared/contracts/pacing'
import type { Desk, DeskClass, Replanned } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { columnMaker, deskAfter } from './deskColumn'
import type { DeskColumn } from './deskColumn'
import { useMe } from '~/shared/session/me'

/** The planning desk: what the server last said, laid out here with the same core. */
export const useDesk = defineStore('desk', () => {
  /** What the server last said. */
  const said = shallowRef<Desk | null>(null)
  /** Acts that were sent and are not yet answered, in order. */
  const pending = shallowRef<readonly PacingCommand[]>([])
  const stepping = ref(0)
  const problem = shallowRef<Refusal | null>(null)
  /**
   * What the server last said, with what is on its way already done; an act that fails is gone from here at
   * once.
   */
  const desk = computed(() =>
    pending.value.reduce<Desk | null>((now, command) => deskAfter(now, command) ?? now, said.value),
  )
  const hidden = ref<ReadonlySet<ClassId>>(new Set())
  /** The desk as a way out would leave it, while one is looked at. */
  const tried = shallowRef<Desk | null>(null)

  const loaded = computed(() => desk.value !== null)
  const busy = computed(() => pending.value.length + stepping.value > 0)
  const mayEditYear = computed(() => desk.value?.mayEditYear ?? false)
  const year = computed(() => desk.value?.year ?? null)
  const plans = computed<readonly Plan[]>(() => desk.value?.plans ?? [])
  const classes = computed<readonly DeskClass[]>(() => desk.value?.classes ?? [])
  const work = computed(() => desk.value?.work ?? [])
  const steps = computed(() => desk.value?.steps ?? { undo: null, redo: null })
  const zone = computed(() => year.value?.zone ?? 'UTC')
  const make = columnMaker()
  const columnsOf = (of: Desk | null) =>
    (of?.classes ?? []).map((c) =>
      make(c, of?.year ?? null, of?.plans.find((p) => p.id === c.planId) ?? null),
    )
  const columns = computed<readonly DeskColumn[]>(() => columnsOf(desk.value))
  const triedColumns = computed<readonly DeskColumn[] | null>(() =>
    tried.value ? columnsOf(tried.value) : null,
  )
  const shown = computed(() => columns.value.filter((c) => !hidden.value.has(c.of.id)))

  function planOf(id: PlanId | null): Plan | null {
    return plans.value.find((p) => p.id === id) ?? null
  }

  /** Loads the desk, once unless asked `anew`. */
  async function load(anew = false): Promise<void> {
    if (said.value && !anew) return
    const reply = await call(ShowDesk)
    if (reply.ok) {
      useMe().hear(reply.value.now)
      said.value = reply.value
      problem.value = null
    } else problem.value = reply.error
  }

  function take(done: Replanned): void {
    const now = said.value
    if (!now) return
    const next = new Map(done.classes.map((c) => [c.id, c]))
    said.value = {
      ...now,
      steps: done.steps,
      year: done.year ?? now.year,
      plans: now.plans.map((p) => done.plans.find((n) => n.id === p.id) ?? p),
      classes: now.classes.map((c) => (next.has(c.id) ? { ...c, ...next.get(c.id) } : c)),
      work: [...now.work.filter((w) => !done.affected.includes(w.classId)), ...done.work],
    }
  }

  /** The desk as it would be after an act, computed here; null when the core refuses it. */
  function after(command: PacingCommand): Desk | null {
    return deskAfter(desk.value, command)
  }

  let sending: Promise<unknown> = Promise.resolve()
  /**
   * Performs a planning act: shown at once, kept when the server agrees, gone when it does not. Acts are sent
   * one after the other.
   */
  async function act(command: PacingCommand): Promise<Result<Replanned, Refusal>> {
    pending.value = [...pending.value, command]
    const reply = sending.then(() => call(DoCommand, { body: command }))
    sending = reply
    const done = await reply
    if (done.ok) take(done.value)
    else if (done.error.code === 'pacing/changed-meanwhile') await load(true)
    pending.value = pending.value.filter((c) => c !== command)
    return done
  }

  /** Takes back the last own act or the one of this number, does the last again, or passes it over. */
  async function step(
    way: 'undo' | 'redo' | 'pass-over',
    seq: number | null = null,
  ): Promise<Result<Replanned | null, Refusal>> {
    stepping.value++
    const reply = await (way === 'undo'
      ? call(Undo, { body: { seq } })
      : call(way === 'redo' ? Redo : PassOver))
    stepping.value--
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

  return {
    desk,
    problem,
    loaded,
    busy,
    mayEditYear,
    year,
    plans,
    classes,
    work,
    steps,
    zone,
    columns,
    tried,
    triedColumns,
    shown,
    hidden,
    planOf,
    columnsOf,
    load,
    after,
    act,
    step,
    toggle,
  }
})

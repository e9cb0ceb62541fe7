import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { ClassId, Result } from '#core/base'
import { singlesOf } from '#core/pacing'
import type { PacingCommand, Way } from '#core/pacing'
import { PreviewRipple } from '#shared/contracts/pacing'
import type { ClassRipple, Desk, Replanned, WayShown } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { useDesk } from './desk'

/**
 * A change that is looked at before it is made: its ways out for every class it reaches, and the one chosen
 * for each.
 */
export const useRipple = defineStore('ripple', () => {
  const desk = useDesk()
  const change = shallowRef<PacingCommand | null>(null)
  const cause = ref('')
  const classes = shallowRef<readonly ClassRipple[]>([])
  const chosen = ref<ReadonlyMap<ClassId, Way>>(new Map())
  const problem = shallowRef<Refusal | null>(null)
  const waiting = ref(false)
  let asked = 0
  let arriving: Promise<void> = Promise.resolve()

  const isOpen = computed(() => change.value !== null)
  const wayFor = (c: ClassRipple): WayShown | undefined =>
    c.ways.find((w) => w.way === (chosen.value.get(c.classId) ?? 'use-slack'))
  /** The change and the ways chosen, as one act. */
  const command = computed<PacingCommand | null>(() => {
    if (!change.value) return null
    const ways = new Set(classes.value.map((c) => wayFor(c)?.way ?? 'use-slack'))
    return {
      kind: 'together',
      purpose: { code: 'ripple', way: [...ways][0] ?? 'use-slack', cause: cause.value || 'Change' },
      commands: [...singlesOf(change.value), ...classes.value.flatMap((c) => wayFor(c)?.commands ?? [])],
    }
  })

  function show(): void {
    desk.tried = command.value ? desk.after(command.value) : null
  }

  /**
   * Looks at a change: its bare effect (`after`, where the caller knows it) is on the desk at once, the ways
   * out follow from the server.
   */
  async function open(next: PacingCommand, why: string, after: Desk | null = null): Promise<void> {
    const ask = ++asked
    const isNew = change.value === null
    change.value = next
    cause.value = why
    problem.value = null
    if (isNew) chosen.value = new Map()
    classes.value = []
    desk.tried = after ?? desk.after(next)
    waiting.value = true
    arriving = call(PreviewRipple, { body: next }).then((reply) => {
      if (ask !== asked) return
      waiting.value = false
      if (reply.ok) {
        classes.value = reply.value.classes
        show()
      } else problem.value = reply.error
    })
    await arriving
  }

  /** Chooses a way out for one class, or for all. */
  function choose(way: Way, classId: ClassId | null = null): void {
    const next = new Map(chosen.value)
    for (const c of classes.value) if (classId === null || c.classId === classId) next.set(c.classId, way)
    chosen.value = next
    show()
  }

  function close(): void {
    asked++
    change.value = null
    classes.value = []
    waiting.value = false
    desk.tried = null
  }

  /** Makes the change with the ways chosen, as one step of undo. */
  async function apply(): Promise<Result<Replanned, Refusal> | null> {
    // who is quick with Enter means what is about to be shown
    while (waiting.value) await arriving
    const act = command.value
    if (!act || problem.value) return null
    close()
    return desk.act(act)
  }

  return { change, cause, classes, chosen, problem, waiting, isOpen, wayFor, open, choose, close, apply }
})

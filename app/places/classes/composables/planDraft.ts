import { useLocalStorage } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { asId, same } from '#core/base'
import type { LessonId, PlanId, Result, UnitId } from '#core/base'
import { blank, checkPlan, mergeTable, planCommand } from '#core/pacing'
import type { LessonRow, Plan, PlanLesson } from '#core/pacing'
import { DoCommand } from '#shared/contracts/pacing'
import { ShowPlan } from '#shared/contracts/plans'
import type { PlanPage } from '#shared/contracts/plans'
import type { Refusal } from '#shared/contracts/refusal'
import { useDesk } from '~/places/pace'
import { call } from '~/shared/wire/call'
import { movedBefore, movedBehind, steppedBy } from '../planEdits'

/**
 * A plan as it is kept, and as it is being changed; the changes outlive a reload and are kept together, as
 * one act.
 */
export function usePlanDraft(planId: PlanId) {
  const page = shallowRef<PlanPage | null>(null)
  const problem = shallowRef<Refusal | null>(null)
  const kept = useLocalStorage<string>(`plan-draft ${planId}`, '')
  const draft = shallowRef<Plan | null>(null)
  const command = computed(() =>
    page.value && draft.value ? planCommand(page.value.plan, draft.value) : null,
  )
  const fault = computed(() => {
    const checked = draft.value ? checkPlan(draft.value) : null
    return checked && !checked.ok ? checked.error : null
  })

  /**
   * Loads the plan, and the changes that were begun on it; changes to a plan that has become another are kept
   * lesson by lesson.
   */
  async function load(): Promise<void> {
    const reply = await call(ShowPlan, { params: { planId } })
    if (!reply.ok) return void (problem.value = reply.error)
    page.value = reply.value
    const begun = kept.value
      ? (JSON.parse(kept.value) as { readonly base: Plan; readonly draft: Plan })
      : null
    draft.value = begun && same(begun.base, reply.value.plan) ? begun.draft : reply.value.plan
  }

  function change(next: Plan): void {
    draft.value = next
    kept.value =
      page.value && planCommand(page.value.plan, next)
        ? JSON.stringify({ base: page.value.plan, draft: next })
        : ''
  }
  const lessons = (work: (list: readonly PlanLesson[]) => readonly PlanLesson[]) => {
    if (draft.value) change({ ...draft.value, lessons: work(draft.value.lessons) })
  }

  /** Changes the same fields of several lessons. */
  function set(ids: ReadonlySet<LessonId>, part: Partial<PlanLesson>): void {
    lessons((list) => list.map((l) => (ids.has(l.id) ? { ...l, ...part } : l)))
  }
  function remove(ids: ReadonlySet<LessonId>): void {
    lessons((list) => list.filter((l) => !ids.has(l.id)))
  }
  /** Moves lessons together before or behind another one; they join its unit. */
  const moveBeside = (ids: ReadonlySet<LessonId>, id: LessonId, side: 'before' | 'behind') =>
    lessons((list) => (side === 'before' ? movedBefore : movedBehind)(list, ids, id))
  /** Moves lessons one place earlier or later. */
  const step = (ids: ReadonlySet<LessonId>, by: 1 | -1) => lessons((list) => steppedBy(list, ids, by))
  /** Adds a lesson behind another one; gives its id. */
  function addAfter(id: LessonId | null): LessonId {
    const newId = asId<LessonId>(crypto.randomUUID())
    lessons((list) => {
      const at = id === null ? list.length - 1 : list.findIndex((l) => l.id === id)
      return [
        ...list.slice(0, at + 1),
        blank(newId, (list[at]?.unitId ?? draft.value?.units[0]?.id) as UnitId),
        ...list.slice(at + 1),
      ]
    })
    return newId
  }
  /** What taking in a table's rows would do; nothing is changed yet. */
  const merged = (rows: readonly LessonRow[]) =>
    draft.value ? mergeTable(draft.value, rows, () => crypto.randomUUID()) : null
  function renameUnit(id: UnitId, title: string): void {
    if (draft.value)
      change({ ...draft.value, units: draft.value.units.map((u) => (u.id === id ? { ...u, title } : u)) })
  }
  function discard(): void {
    if (page.value) change(page.value.plan)
  }
  /** Keeps all changes as one act; refused as a whole when somebody changed the same lessons meanwhile. */
  async function save(): Promise<Result<{ readonly moved: number }, Refusal>> {
    if (!command.value) return { ok: true, value: { moved: 0 } }
    const reply = await call(DoCommand, { body: command.value })
    if (!reply.ok) return reply
    kept.value = ''
    await Promise.all([load(), useDesk().load(true)])
    return { ok: true, value: { moved: reply.value.moved } }
  }

  return {
    page,
    problem,
    draft,
    command,
    fault,
    load,
    change,
    set,
    remove,
    moveBeside,
    step,
    addAfter,
    merged,
    renameUnit,
    discard,
    save,
  }
}

import { computed, ref, shallowRef } from 'vue'
import type { ClassId, TrailId, UserId } from '#core/base'
import { SetTrails, ShowTrailSheet } from '#shared/contracts/versions'
import type { TrailRow, TrailSheet } from '#shared/contracts/versions'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** Which learners of a sheet are looked at. */
export type Shown = 'all' | 'suggested' | 'stuck' | 'low' | 'high' | `group ${string}`

/** A class's trail sheet, with the steps that were set on it and are not kept yet. */
export function useTrailSteps(classId: ClassId) {
  const sheet = shallowRef<TrailSheet | null>(null)
  const problem = ref('')
  const shown = ref<Shown>('all')
  /** Steps that are not kept yet. */
  const steps = shallowRef<ReadonlyMap<UserId, TrailId>>(new Map())

  async function load(): Promise<void> {
    const reply = await call(ShowTrailSheet, { params: { classId } })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) sheet.value = reply.value
  }
  const rows = computed(() => sheet.value?.rows.filter(isShown) ?? [])
  function isShown(row: TrailRow): boolean {
    const last = row.points.findLast((p) => p.percent !== null)?.percent ?? null
    const { lessFrom, moreBelow } = sheet.value?.thresholds ?? { lessFrom: 80, moreBelow: 65 }
    if (shown.value === 'suggested') return row.next.step !== 'stay'
    if (shown.value === 'stuck') return row.next.stuck !== null
    if (shown.value === 'low') return last !== null && last < moreBelow
    if (shown.value === 'high') return last !== null && last >= lessFrom
    if (shown.value === 'all') return true
    const group = sheet.value?.groups.find((g) => `group ${g.id}` === shown.value)
    return group?.learnerIds.includes(row.learnerId) ?? false
  }
  const nextOf = (row: TrailRow): TrailId => steps.value.get(row.learnerId) ?? row.trailId
  function set(row: TrailRow, to: TrailId): void {
    const next = new Map(steps.value)
    if (to === row.trailId) next.delete(row.learnerId)
    else next.set(row.learnerId, to)
    steps.value = next
  }
  /** One trail towards less support (-1) or more (1); at the end it stays. */
  function move(row: TrailRow, by: -1 | 1): void {
    const trails = sheet.value?.trails ?? []
    const to = trails[trails.findIndex((t) => t.id === nextOf(row)) + by]
    if (to) set(row, to.id)
  }
  function takeAll(): void {
    for (const row of rows.value) if (row.next.step !== 'stay') set(row, row.next.to)
  }
  function forget(): void {
    steps.value = new Map()
  }
  async function keep() {
    const learners = [...steps.value].map(([learnerId, trailId]) => ({ learnerId, trailId }))
    const reply = await call(SetTrails, { params: { classId }, body: { usual: null, learners } })
    if (!reply.ok) return reply
    forget()
    await load()
    return reply
  }
  async function setUsual(usual: TrailId) {
    const reply = await call(SetTrails, { params: { classId }, body: { usual, learners: [] } })
    if (reply.ok) await load()
    return reply
  }
  return { sheet, problem, shown, rows, steps, load, nextOf, set, move, takeAll, forget, keep, setUsual }
}

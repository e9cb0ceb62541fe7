import { computed, ref, shallowRef } from 'vue'
import type { ClassId, TrailId, UserId } from '#core/base'
import { SetTrails, ShowTrailSheet } from '#shared/contracts/versions'
import type { TrailRow, TrailSheet } from '#shared/contracts/versions'
import { useCombining } from '~/shared/conflict/combining'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { CLASS_TRAILS_PARTS, stepsFrom, trailsOf } from '../classTrails'
import { rowsShown } from '../rowsShown'
import type { Shown } from '../rowsShown'
import { trailsWords } from '../words/conflicts'

/** A class's trail sheet, with the steps that were set on it and are not kept yet. */
export function useTrailSteps(classId: ClassId) {
  const sheet = shallowRef<TrailSheet | null>(null)
  const problem = ref('')
  const combining = useCombining()
  const shown = ref<Shown>('all')
  /** Steps that are not kept yet. */
  const steps = shallowRef<ReadonlyMap<UserId, TrailId>>(new Map())

  async function load(): Promise<void> {
    const reply = await call(ShowTrailSheet, { params: { classId } })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) sheet.value = reply.value
  }
  const rows = computed(() => (sheet.value ? rowsShown(sheet.value, shown.value) : []))
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
  /** The trails of a class as they were shown, and as they stand. */
  const aboutTrails = () => ({
    what: 'these trails',
    parts: CLASS_TRAILS_PARTS,
    words: trailsWords(sheet.value),
    seen: { value: trailsOf(sheet.value), version: 0 },
    current: async () => {
      const now = await call(ShowTrailSheet, { params: { classId } })
      return now.ok ? { value: trailsOf(now.value), version: 0 } : null
    },
  })
  async function keep() {
    const about = aboutTrails()
    const { learners } = about.seen.value
    const to = (id: UserId, stands: TrailId) => steps.value.get(id) ?? stands
    const reply = await combining({
      ...about,
      mine: {
        ...about.seen.value,
        learners: learners.map((l) => ({ ...l, trailId: to(l.learnerId, l.trailId) })),
      },
      send: (mine, { value }) => call(SetTrails, { params: { classId }, body: stepsFrom(value, mine) }),
    })
    if (!reply?.ok) return reply
    forget()
    await load()
    return reply
  }
  async function setUsual(usual: TrailId) {
    const about = aboutTrails()
    const reply = await combining({
      ...about,
      mine: { ...about.seen.value, usual },
      send: (mine, { value }) =>
        call(SetTrails, {
          params: { classId },
          body: { usual: mine.usual, seenUsual: value.usual, learners: [] },
        }),
    })
    if (reply?.ok) await load()
    return reply
  }
  return { sheet, problem, shown, rows, steps, load, nextOf, set, move, takeAll, forget, keep, setUsual }
}

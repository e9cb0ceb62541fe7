import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import { ShowHeavyWeeks } from '#shared/contracts/load'
import { call } from '~/shared/wire/call'
import { useDesk } from '../stores/desk'

/** Reckoning a class's year is work: it is asked for once somebody stays with a class. */
const STAYS_MS = 400

/** Weeks with how many learners of a class carry more than the limits; asked once a class, until something changes. */
export function useHeavyWeeks(classId: () => ClassId | null) {
  const desk = useDesk()
  const known = shallowRef<ReadonlyMap<ClassId, ReadonlyMap<string, number>>>(new Map())
  watch(
    () => desk.steps,
    () => {
      known.value = new Map()
    },
  )
  watchDebounced(
    [classId, known],
    async ([id, before]) => {
      if (id === null || before.has(id)) return
      const reply = await call(ShowHeavyWeeks, { params: { classId: id } })
      if (!reply.ok || known.value !== before) return
      known.value = new Map([
        ...before,
        [id, new Map(reply.value.weeks.map((w) => [w.mondayOn, w.learners]))],
      ])
    },
    { debounce: STAYS_MS, immediate: true },
  )
  return computed(() => known.value.get(classId() as ClassId) ?? new Map<string, number>())
}

import { shallowRef, watch } from 'vue'
import type { ClassId, IsoDay } from '#core/base'
import { ShowHeavyWeeks } from '#shared/contracts/load'
import { call } from '~/shared/wire/call'
import { useDesk } from '../stores/desk'

/** In which weeks how many learners of a class carry more than the limits; asked for once the desk stands. */
export function useHeavyWeeks(classId: () => ClassId | null) {
  const desk = useDesk()
  const heavy = shallowRef<ReadonlyMap<IsoDay, number>>(new Map())
  watch(
    [classId, () => desk.steps],
    async ([id], [before]) => {
      if (id !== before) heavy.value = new Map()
      if (id === null) return
      const reply = await call(ShowHeavyWeeks, { params: { classId: id } })
      if (reply.ok && classId() === id)
        heavy.value = new Map(reply.value.weeks.map((w) => [w.mondayOn, w.learners]))
    },
    { immediate: true },
  )
  return heavy
}

import { computed } from 'vue'
import type { ComputedRef } from 'vue'
import type { IsoDay } from '#core/base'
import { zoneNamed } from '~/shared/words/times'
import { useOverview } from './overview'
import { useServerNow } from './serverNow'

/** Today by the school's clock; by UTC while no school year is known. */
export function useToday(): ComputedRef<IsoDay> {
  const now = useServerNow(60_000)
  const overview = useOverview()
  void overview.load()
  return computed(() => zoneNamed(overview.zone).local(now.value).on)
}

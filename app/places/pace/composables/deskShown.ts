import { computed } from 'vue'
import type { ComputedRef } from 'vue'
import { weekdayOf } from '#core/base'
import type { ClassId, Instant } from '#core/base'
import { zoneNamed } from '~/shared/words/times'
import { deskWeeks } from '../desk/deskWeeks'
import { useDesk } from '../stores/desk'

/** What is drawn of the desk: its weeks, the classes in view, and where today is among them. */
export function useDeskShown(now: ComputedRef<Instant>, oneId: ComputedRef<ClassId | null>) {
  const desk = useDesk()
  const local = computed(() => (desk.year ? zoneNamed(desk.zone).local(now.value) : null))
  const today = computed(() => local.value?.on ?? null)
  const todayRatio = computed(() => {
    if (!local.value) return 0
    const days = Math.min(5, weekdayOf(local.value.on)) - 1 + local.value.minuteOfDay / 1440
    return Math.min(0.97, days / 5)
  })
  // by the year alone: new weeks would have every cell drawn again
  const yearShown = computed(() => desk.tried?.year ?? desk.year)
  const weeks = computed(() => (yearShown.value ? deskWeeks(yearShown.value, today.value) : []))
  const one = computed(() => desk.columns.find((c) => c.of.id === oneId.value) ?? null)
  const columns = computed(() => (one.value ? [one.value] : desk.shown))
  /** The desk as it is, or as the change that is looked at would leave it. */
  const drawn = computed(() => {
    const tried = desk.triedColumns
    return tried ? columns.value.map((c) => tried.find((t) => t.of.id === c.of.id) ?? c) : columns.value
  })
  /** The next day on which a class in view meets. */
  const nextMeetingOn = computed(() => {
    const days = columns.value.flatMap((c) => c.calendar.meetings.map((m) => m.on))
    const later = days.filter((on) => on > (today.value ?? '')).sort()
    return later[0] ?? today.value
  })
  return { today, todayRatio, weeks, one, columns, drawn, nextMeetingOn }
}

import { computed, ref, watch } from 'vue'
import type { Ref } from 'vue'
import type { LessonId } from '#core/base'
import { courseOf, fit, layOut, reachesOf, withCuts, withoutPlace } from '#core/pacing'
import type { Cut, PlanLesson } from '#core/pacing'
import { useDesk } from '../stores/desk'
import type { DeskColumn } from '../stores/deskColumn'

type Side = 'keep' | 'leave out'

/** The cheapest cuts that make a class's plan fit, with what the teacher decided beside them. */
export function useFitting(column: Readonly<Ref<DeskColumn | null>>) {
  const desk = useDesk()
  /** What the teacher decided against or for, beside what is cheapest. */
  const keep = ref<ReadonlySet<LessonId>>(new Set())
  const leaveOut = ref<ReadonlySet<LessonId>>(new Set())
  watch(
    () => column.value?.of.id,
    () => {
      keep.value = new Set()
      leaveOut.value = new Set()
    },
  )

  const terms = computed(() => desk.year?.terms ?? [])
  const course = computed(() =>
    column.value?.plan
      ? courseOf(column.value.plan, column.value.calendar.meetings, column.value.of.pacing, {
          terms: terms.value,
        })
      : null,
  )
  const reaches = computed(() =>
    course.value ? reachesOf(course.value).filter((r) => r.lessonIds.length > 0) : [],
  )
  const shortBy = computed(() => reaches.value.reduce((n, r) => n + Math.max(0, -r.slackHalves), 0))
  const got = computed(() =>
    course.value ? fit(course.value, { keep: keep.value, leaveOut: leaveOut.value }) : null,
  )
  const after = computed(() =>
    column.value?.plan && got.value
      ? layOut(column.value.plan, column.value.calendar.meetings, {
          pacing: withCuts(column.value.of.pacing, got.value.cuts),
          terms: terms.value,
        })
      : null,
  )
  /** Stretches that cannot fit whatever is cut, from their first lesson to the date that ends them. */
  const tooShort = computed(() => got.value?.short ?? [])
  const stillOut = computed(() => (after.value ? withoutPlace(after.value) : []))
  const lesson = (id: LessonId): PlanLesson | undefined => column.value?.lessons.get(id)
  const name = (id: LessonId) => `${lesson(id)?.number ?? ''} ${lesson(id)?.title ?? ''}`.trim()
  const winsBack = computed(
    () => got.value?.cuts.reduce((n, c) => n + (c.unit === 'meetings' ? c.from - c.to : 0), 0) ?? 0,
  )
  const others = computed(() =>
    (column.value?.sequence ?? []).filter(
      (l) =>
        l.weight !== 'core' &&
        !l.fixed &&
        !got.value?.cuts.some((c) => c.lessonId === l.id) &&
        course.value?.items.some((i) => i.lesson.id === l.id),
    ),
  )

  function set(which: Side, id: LessonId, on: boolean): void {
    const of = which === 'keep' ? keep : leaveOut
    const next = new Set(of.value)
    if (on) next.add(id)
    else next.delete(id)
    of.value = next
  }
  function protect(cut: Cut): void {
    set('keep', cut.lessonId, true)
    set('leave out', cut.lessonId, false)
  }
  return {
    keep,
    leaveOut,
    reaches,
    shortBy,
    got,
    tooShort,
    stillOut,
    others,
    winsBack,
    lesson,
    name,
    set,
    protect,
  }
}

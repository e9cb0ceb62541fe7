import { computed, ref, shallowRef, watch } from 'vue'
import { watchDebounced } from '@vueuse/core'
import type { ResourceId } from '#core/base'
import type { Accepted } from '#core/followUp'
import { cardOfKind } from '#core/library'
import type { FollowUpPage } from '#shared/contracts/followUp'
import type { Preview } from '#shared/contracts/work'
import { useFollowingUp, windowInMeetings } from '~/places/work'
import type { FollowUpGiven, StartingCard } from '~/places/work'
import { zoneNamed } from '~/shared/words/times'

/** Due so many meetings after it opens, unless one says otherwise. */
const MEETINGS_TO_DO_IT = 2
/** No meeting, or no second check. */
export const NONE = 'none'

/** When, under which name and with which second check follow-up is given; what that would do; and giving it. */
export function useGivingFollowUp(page: () => FollowUpPage | null, accepted: () => readonly Accepted[]) {
  const { lookAhead, give: giveWork, busy } = useFollowingUp()
  /** At which meeting from now, counted from 1, or 'none'. */
  const opens = ref(NONE)
  const due = ref(NONE)
  const category = ref('')
  const then = ref<ResourceId | typeof NONE>(NONE)
  watch(
    () => page()?.pieceId,
    () => {
      const of = page()
      const meets = of?.meetings.length ?? 0
      opens.value = meets > 0 ? '1' : NONE
      due.value = meets > 0 ? String(Math.min(meets, 1 + MEETINGS_TO_DO_IT)) : NONE
      category.value = of?.filing.proposed ?? ''
      then.value = NONE
    },
    { immediate: true },
  )
  const cards = computed<ReadonlyMap<ResourceId, StartingCard>>(
    () => new Map(page()?.ground.pieces.map((p) => [p.id, { ...p, bookLessonId: null }])),
  )
  /** What measures the same again: the check itself, and others on what it asked for. */
  const checks = computed(() => {
    const of = page()
    const asked = new Set(of?.learners.flatMap((l) => l.on.map((o) => o.code)))
    return (of?.ground.pieces ?? []).filter(
      (p) => cardOfKind(p.kind).measures !== null && p.standards.some((code) => asked.has(code)),
    )
  })
  const given = computed<FollowUpGiven | null>(() => {
    const of = page()
    if (!of || accepted().length === 0) return null
    const meeting = (value: string) => (value === NONE ? null : Number(value))
    return {
      classId: of.classId,
      accepted: accepted(),
      cardOf: cards.value,
      then: then.value === NONE ? null : (cards.value.get(then.value) ?? null),
      title: `After ${of.title}`,
      category: category.value,
      followsUp: { assignmentId: of.assignmentId, pieceId: of.pieceId },
      window: windowInMeetings(
        { opens: meeting(opens.value), due: meeting(due.value) },
        zoneNamed(of.zone).local(of.now),
      ),
    }
  })
  const ahead = shallowRef<Preview | null>(null)
  watchDebounced(
    given,
    async (now) => {
      const found = now && (await lookAhead(now))
      if (now === given.value) ahead.value = found
    },
    { debounce: 400, immediate: true },
  )
  /** True: they have it. */
  async function give(): Promise<boolean> {
    const now = given.value
    return now !== null && (await giveWork(now)) !== null
  }
  return {
    opens,
    due,
    category,
    then,
    checks,
    ahead,
    give,
    busy,
    isReady: computed(() => given.value !== null),
  }
}

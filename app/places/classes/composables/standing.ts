import { computed, ref, shallowRef, watch } from 'vue'
import type { ClassId, LessonId, PlanId, StandingId } from '#core/base'
import type { StandingPiece } from '#core/standing'
import {
  AddStanding,
  AnswerOffers,
  ChangeStanding,
  LayStanding,
  ShowStanding,
} from '#shared/contracts/standing'
import type { StandingOfPlan } from '#shared/contracts/standing'
import type { Result } from '#core/base'
import type { Refusal } from '#shared/contracts/refusal'
import { useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

/** A plan's standing work: what the server last said, and what may be done with it. */
export function useStanding(planId: PlanId) {
  const desk = useDesk()
  const tell = useTell()
  const said = shallowRef<StandingOfPlan | null>(null)
  const problem = ref('')
  const busy = ref(false)
  const params = { planId }

  async function load(): Promise<void> {
    const reply = await call(ShowStanding, { params })
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) said.value = reply.value
  }
  watch(
    () => desk.steps,
    () => void (busy.value ? null : load()),
    { immediate: true },
  )
  async function acting<T>(
    doing: Promise<Result<T, Refusal>>,
    words: (value: T) => string,
  ): Promise<boolean> {
    busy.value = true
    const reply = await doing
    if (reply.ok) tell.done(words(reply.value))
    else tell.refused(reply.error)
    await Promise.all([load(), desk.load(true)])
    busy.value = false
    return reply.ok
  }
  const add = (pieces: readonly StandingPiece[]) =>
    acting(call(AddStanding, { params, body: { pieces } }), () => `${count(pieces.length, 'piece')} added`)
  function change(standingId: StandingId, piece: StandingPiece | null): Promise<boolean> {
    const version = said.value?.standing.find((s) => s.id === standingId)?.version ?? 1
    const done = call(ChangeStanding, { params: { planId, standingId }, body: { version, piece } })
    return acting(done, () => (piece ? 'Kept' : 'Taken out of the plan'))
  }
  const lay = (input: {
    readonly classes: readonly { readonly classId: ClassId; readonly standingIds: readonly StandingId[] }[]
    readonly publish: boolean
  }) =>
    acting(
      call(LayStanding, { params, body: input }),
      ({ works, classes }) =>
        `${count(works, 'piece')} of work in ${count(classes, 'class', 'classes')}. Undo takes them back in one step.`,
    )
  const answer = (classId: ClassId, standingIds: readonly StandingId[], take: boolean) =>
    acting(call(AnswerOffers, { params, body: { classId, standingIds, take } }), () =>
      take ? 'Taken over' : 'Left as it is',
    )

  const byLesson = computed(() => {
    const map = new Map<LessonId, StandingOfPlan['standing']>()
    for (const s of said.value?.standing ?? [])
      map.set(s.piece.lessonId, [...(map.get(s.piece.lessonId) ?? []), s])
    return map
  })
  /** What the plan offers each class and was not answered. */
  const offers = computed(() =>
    (said.value?.classes ?? []).map((of) => ({
      of,
      open: (said.value?.has ?? []).filter(
        (h) => h.classId === of.id && h.offer.kind !== 'settled' && !h.isRefused,
      ),
      left: (said.value?.has ?? []).filter(
        (h) => h.classId === of.id && h.offer.kind !== 'settled' && h.isRefused,
      ),
    })),
  )
  const pieceOf = computed(() => new Map(said.value?.pieces.map((p) => [p.id, p])))
  return { said, problem, busy, load, add, change, lay, answer, byLesson, offers, pieceOf }
}

import { computed, ref, shallowRef, watch } from 'vue'
import type { ClassId, LessonId, PlanId, StandingId } from '#core/base'
import { STANDING_PARTS } from '#core/standing'
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
import { useCombining } from '~/shared/conflict/combining'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { standingWords } from '../words/standing'

/** A plan's standing work: what the server last said, and what may be done with it. */
export function useStanding(planId: PlanId) {
  const desk = useDesk()
  const tell = useTell()
  const combining = useCombining()
  const stillMeant = useStillMeant()
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
    doing: Promise<Result<T, Refusal> | null>,
    words: (value: T) => string,
  ): Promise<boolean> {
    busy.value = true
    const reply = await doing
    if (reply?.ok) tell.done(words(reply.value))
    else if (reply) tell.refused(reply.error)
    await Promise.all([load(), desk.load(true)])
    busy.value = false
    return reply?.ok ?? false
  }
  const add = (pieces: readonly StandingPiece[]) =>
    acting(call(AddStanding, { params, body: { pieces } }), () => `${count(pieces.length, 'piece')} added`)
  function change(standingId: StandingId, piece: StandingPiece | null): Promise<boolean> {
    const known = said.value?.standing.find((s) => s.id === standingId)
    if (!known) return Promise.resolve(false)
    const send = (to: StandingPiece | null, { version }: { readonly version: number }) =>
      call(ChangeStanding, { params: { planId, standingId }, body: { version, piece: to } })
    const about = {
      what: 'this standing work',
      parts: STANDING_PARTS,
      words: standingWords(said.value),
      seen: { value: known.piece, version: known.version },
      current: async () => {
        const reply = await call(ShowStanding, { params })
        const now = reply.ok ? reply.value.standing.find((s) => s.id === standingId) : undefined
        return now ? { value: now.piece, version: now.version } : null
      },
    }
    if (piece !== null) return acting(combining({ ...about, mine: piece, send }), () => 'Kept')
    const out = {
      ...about,
      act: 'Take it out all the same',
      send: (at: { version: number }) => send(null, at),
    }
    return acting(stillMeant(out), () => 'Taken out of the plan')
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

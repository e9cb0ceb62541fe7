import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { IsoDay } from '#core/base'
import type { Target } from '#core/audience'
import type { PlacedStone, ToLay } from '#core/placing'
import { MOST_AT_ONCE } from '#core/work'
import { LayPieces, MovePlaced, ShowPlacing, TakePlaced } from '#shared/contracts/placing'
import type { Placing } from '#shared/contracts/placing'
import { ActOnMany } from '#shared/contracts/work'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useDesk } from '../stores/desk'
import { useInTurn } from './inTurn'
import { usePlacedMeant } from './placedMeant'
import type { PlacedReply, PlacedWork } from './placedMeant'

/** For whom pieces are placed, in which time. */
export interface PlacingChoice {
  readonly targets: readonly Target[]
  readonly from: IsoDay
  readonly through: IsoDay
}
const nameOf = ({ assignmentId, version }: PlacedWork) => ({ assignmentId, version })

/** What lies in a stretch of time, and acts on it; the server's word is shown after each. */
export function usePlacing(choice: Ref<PlacingChoice | null>) {
  const desk = useDesk()
  const tell = useTell()
  const shown = shallowRef<Placing | null>(null)
  const problem = ref('')
  // what can be undone is said above; nobody waits for it
  const { busy, act: inTurn } = useInTurn(async () => void desk.load(true))
  const isBusy = computed(() => busy.value > 0)

  async function load(): Promise<void> {
    const of = choice.value
    if (!of) return
    const reply = await call(ShowPlacing, { body: { ...of, targets: [...of.targets] } })
    if (of !== choice.value) return
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) shown.value = reply.value
  }
  watch([choice, () => desk.steps], () => isBusy.value || void load(), { immediate: true })

  function act(send: () => Promise<PlacedReply | null>, done = ''): Promise<boolean> {
    return inTurn(async () => {
      const reply = await send()
      if (reply && !reply.ok) tell.refused(reply.error)
      else if (reply && done) tell.done(done)
      await load()
      return reply?.ok ?? false
    })
  }

  const lay = (pieces: readonly ToLay[], stays: number | null) =>
    act(
      () =>
        call(LayPieces, {
          body: { targets: [...(choice.value?.targets ?? [])], pieces: [...pieces], stays },
        }),
      pieces.length > 1 ? `${count(pieces.length, 'piece')} laid, held until you publish` : '',
    )
  /** Work as it stands by now: an act before may have changed it. */
  const asItStands = (stone: PlacedStone) =>
    shown.value?.stones.find((s) => s.assignmentId === stone.assignmentId) ?? stone
  const meant = usePlacedMeant({ load, asItStands, stones: () => shown.value?.stones ?? [] })
  const targetOf = (key: string) => shown.value?.columns.find((c) => c.key === key)?.target ?? null
  /** To another day, with those that it lies together with, or alone. */
  function move(stone: PlacedStone, key: string, on: IsoDay, alone: boolean): Promise<boolean> {
    const target = targetOf(key)
    if (!target) return Promise.resolve(false)
    return act(() =>
      meant([stone], ([of = stone]) => call(MovePlaced, { body: { ...nameOf(of), target, on, alone } })),
    )
  }
  /** Out of one class or group, or (`key` null) out of all. */
  function take(stone: PlacedStone, key: string | null): Promise<boolean> {
    const target = key === null ? null : targetOf(key)
    return act(() => meant([stone], ([of = stone]) => call(TakePlaced, { body: { ...nameOf(of), target } })))
  }

  /** What one act publishes: all that is held and lies on days here, as far as one act reaches. */
  const held = computed(() =>
    (shown.value?.stones ?? [])
      .filter((s) => s.state === 'held' && s.at.some((at) => at.isByDays))
      .slice(0, MOST_AT_ONCE),
  )
  const goingOut = computed(() => held.value.length)
  const publish = () => {
    const stones = held.value
    return act(
      () =>
        meant(stones, (works) => call(ActOnMany, { body: { works: [...works], act: { kind: 'publish' } } })),
      `${count(stones.length, 'piece')} published`,
    )
  }
  return { shown, problem, isBusy, goingOut, lay, move, take, publish }
}

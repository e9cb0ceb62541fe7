import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { IsoDay } from '#core/base'
import type { Target } from '#core/audience'
import type { ToLay } from '#core/placing'
import { MOST_AT_ONCE } from '#core/work'
import { LayPieces, MovePlaced, ShowPlacing, TakePlaced } from '#shared/contracts/placing'
import type { LiesAt, PlacedStone, Placing } from '#shared/contracts/placing'
import type { Refusal } from '#shared/contracts/refusal'
import { ActOnMany } from '#shared/contracts/work'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { useDesk } from '../stores/desk'

/** For whom pieces are placed, in which time. */
export interface PlacingChoice {
  readonly targets: readonly Target[]
  readonly from: IsoDay
  readonly through: IsoDay
}
type Reply = { readonly ok: true } | { readonly ok: false; readonly error: Refusal }

/** What lies in a stretch of time, and acts on it; the server's word is shown after each. */
export function usePlacing(choice: Ref<PlacingChoice | null>) {
  const desk = useDesk()
  const tell = useTell()
  const shown = shallowRef<Placing | null>(null)
  const problem = ref('')
  const isBusy = ref(false)

  async function load(): Promise<void> {
    const of = choice.value
    if (!of) return
    const reply = await call(ShowPlacing, { body: { ...of, targets: [...of.targets] } })
    if (of !== choice.value) return
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) shown.value = reply.value
  }
  watch([choice, () => desk.steps], () => isBusy.value || void load(), { immediate: true })

  async function act(send: () => Promise<Reply>, done = ''): Promise<boolean> {
    if (isBusy.value) return false
    isBusy.value = true
    const reply = await send()
    if (!reply.ok) tell.refused(reply.error)
    else if (done) tell.done(done)
    await Promise.all([load(), desk.load(true)])
    isBusy.value = false
    return reply.ok
  }

  const lay = (pieces: readonly ToLay[], stays: number | null) =>
    act(
      () =>
        call(LayPieces, {
          body: { targets: [...(choice.value?.targets ?? [])], pieces: [...pieces], stays },
        }),
      `${count(pieces.length, 'piece')} laid, held until you publish`,
    )
  const of = ({ assignmentId, version }: PlacedStone, key: string) => ({
    assignmentId,
    version,
    target: shown.value?.columns.find((c) => c.key === key)?.target ?? null,
  })
  /** To another day, with those that it lies together with, or alone. */
  function move(stone: PlacedStone, key: string, on: IsoDay, alone: boolean): Promise<boolean> {
    const { target, ...work } = of(stone, key)
    if (!target) return Promise.resolve(false)
    return act(() => call(MovePlaced, { body: { ...work, target, on, alone } }))
  }
  /** Out of one class or group, or (`key` null) out of all. */
  const take = (stone: PlacedStone, key: string | null) =>
    act(
      () => call(TakePlaced, { body: key === null ? { ...of(stone, ''), target: null } : of(stone, key) }),
      key === null ? 'Taken out everywhere' : 'Taken out here',
    )

  const held = computed(() =>
    (shown.value?.stones ?? []).filter((s) => s.state === 'held' && s.at.some((at) => at.isByDays)),
  )
  const publish = () => {
    const works = held.value
      .slice(0, MOST_AT_ONCE)
      .map(({ assignmentId, version }) => ({ assignmentId, version }))
    return act(
      () => call(ActOnMany, { body: { works, act: { kind: 'publish' } } }),
      `${count(works.length, 'piece')} published`,
    )
  }
  return { shown, problem, isBusy, held, lay, move, take, publish }
}

/** A stone as it lies in one cell. */
export interface InCell {
  readonly stone: PlacedStone
  readonly at: LiesAt
}
/** What opens on a day in a column, by day and column. */
export function byCell({ stones }: Placing): ReadonlyMap<string, readonly InCell[]> {
  const cells = new Map<string, InCell[]>()
  for (const stone of stones)
    for (const at of stone.at) {
      const name = `${at.opensOn} ${at.key}`
      cells.set(name, [...(cells.get(name) ?? []), { stone, at }])
    }
  return cells
}

import { computed, ref, shallowRef, watch } from 'vue'
import { navigateTo } from '#imports'
import type { AssignmentId, Instant, PieceId, UserId } from '#core/base'
import { ShowLens, ShowLensPiece } from '#shared/contracts/lens'
import type { LensView } from '#shared/contracts/lens'
import type { MyPiece } from '#shared/contracts/learning'
import { useAddress } from '~/shared/frame/address'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'

/** What is looked at stands in the address, so that it can be shared and reloaded. */
interface Address {
  readonly learner: UserId | null
  readonly at: Instant | null
  readonly work: AssignmentId | null
  readonly piece: PieceId | null
}

/** A learner's screens at an instant, as the address says. */
export function useLens() {
  const inBar = useAddress()
  const address = computed<Address>(() => {
    const at = inBar.text('at')
    return {
      learner: inBar.id<UserId>('learner'),
      at: at !== null && /^\d{12,13}$/.test(at) ? (Number(at) as Instant) : null,
      work: inBar.id<AssignmentId>('work'),
      piece: inBar.id<PieceId>('piece'),
    }
  })
  const view = shallowRef<LensView | null>(null)
  const piece = shallowRef<MyPiece | null>(null)
  const problem = ref('')
  const busy = ref(false)

  function addressWith(part: Partial<Address>): string {
    const next = { ...address.value, ...part }
    const query = Object.entries(next).flatMap(([key, value]) =>
      value === null ? [] : [[key, String(value)]],
    )
    return `/lens?${new URLSearchParams(query)}`
  }
  async function look(part: Partial<Address>): Promise<void> {
    await navigateTo(addressWith(part), { replace: true })
  }
  let asked = 0
  async function load({ learner, at, work, piece: pieceId }: Address): Promise<void> {
    const mine = ++asked
    if (learner === null) {
      view.value = null
      piece.value = null
      return
    }
    busy.value = true
    const query = at === null ? {} : { at: String(at) }
    const [list, one] = await Promise.all([
      call(ShowLens, { params: { learnerId: learner }, query }),
      work === null
        ? null
        : call(ShowLensPiece, {
            params: { learnerId: learner, assignmentId: work },
            query: { ...query, ...(pieceId === null ? {} : { pieceId }) },
          }),
    ])
    if (mine !== asked) return
    busy.value = false
    problem.value = list.ok ? '' : sayRefusal(list.error)
    view.value = list.ok ? list.value : null
    piece.value = one?.ok ? one.value : null
  }
  watch(address, load, { immediate: true })
  return { address, view, piece, problem, busy, addressWith, look }
}

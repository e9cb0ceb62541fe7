import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { ResourceId } from '#core/base'
import { EMPTY_TRAY, afterTrayAct, traySums } from '#core/library'
import type { Tray } from '#core/library'
import { ChangeTray, ReadCodes, ShowTray } from '#shared/contracts/library'
import type { InputOf } from '#shared/contracts/contract'
import type { PieceCard } from '#shared/contracts/library'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { useShelf } from './shelf'

type Act = InputOf<typeof ChangeTray>['body']

/** What the teacher has put together for later: kept by the server, so that it is there on every machine. */
export const useTray = defineStore('tray', () => {
  const shelf = useShelf()
  const tell = useTell()
  const tray = shallowRef<Tray>(EMPTY_TRAY)
  const isLoaded = shallowRef(false)
  const has = (id: ResourceId) => tray.value.pieces.includes(id)
  const cards = computed(() => tray.value.pieces.flatMap((id) => shelf.piece(id) ?? []))
  const sums = computed(() =>
    traySums(
      cards.value.map((card) => ({ id: card.id, minutes: card.minutes, topic: topicOf(card) })),
      tray.value.limit,
    ),
  )

  /** The unit of the textbook, or where else a piece belongs. */
  function topicOf(card: PieceCard): string {
    const book = shelf.books.find((b) => b.id === card.bookId)
    return shelf.placeOf(card)?.topic ?? book?.title ?? 'Own pieces'
  }

  // acts go out one after the other: the tray that comes back is the one after the last of them
  let pending: Promise<unknown> = Promise.resolve()
  let waiting = 0
  async function send(act: Act): Promise<void> {
    const reply = await call(ChangeTray, { body: act })
    waiting--
    if (!reply.ok) {
      tell.refused(reply.error)
      await fetchTray()
    } else if (waiting === 0) tray.value = reply.value
  }
  function act(change: Act): void {
    tray.value = afterTrayAct(tray.value, change)
    waiting++
    pending = pending.then(() => send(change))
  }
  async function fetchTray(): Promise<void> {
    const reply = await call(ShowTray)
    if (reply.ok) tray.value = reply.value
  }
  async function load(): Promise<void> {
    if (isLoaded.value) return
    isLoaded.value = true
    await Promise.all([shelf.load(), fetchTray()])
  }
  function put(pieces: readonly ResourceId[]): void {
    if (pieces.length > 0) act({ kind: 'put-in', pieces: [...pieces] })
  }
  function take(pieces: readonly ResourceId[]): void {
    if (pieces.length > 0) act({ kind: 'take-out', pieces: [...pieces] })
  }
  function limitTo(minutes: number | null): void {
    act({ kind: 'limit', minutes })
  }
  const setAside = (name: string) => act({ kind: 'set-aside', name })
  const takeUp = (name: string) => act({ kind: 'take-up', name })
  const forget = (name: string) => act({ kind: 'forget', name })
  /** Moves a piece one place up or down. */
  function move(id: ResourceId, by: 1 | -1): void {
    const pieces = [...tray.value.pieces]
    const at = pieces.indexOf(id)
    const to = at + by
    if (at < 0 || to < 0 || to >= pieces.length) return
    pieces.splice(at, 1)
    pieces.splice(to, 0, id)
    act({ kind: 'order', pieces })
  }
  /** The pieces that short codes name, and the codes that name none. */
  const read = (text: string) => call(ReadCodes, { body: { text } })
  const acts = { put, take, limitTo, move, setAside, takeUp, forget }
  return { tray, cards, sums, topicOf, has, load, ...acts, read, settled: () => pending }
})

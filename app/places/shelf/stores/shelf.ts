import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { ResourceId } from '#core/base'
import type { Book, BookUnit } from '#core/library'
import { ShowShelf } from '#shared/contracts/library'
import type { PieceCard, Shelf } from '#shared/contracts/library'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'

/** A name for a unit of a textbook. */
export function unitName(book: Pick<Book, 'id'>, unit: Pick<BookUnit, 'number'>): string {
  return `${book.id} ${unit.number}`
}

/** Where a lesson stands: its unit by name, its own number, and the unit as it is headed. */
interface PlaceInBook {
  readonly unit: string
  readonly number: string
  readonly topic: string
}
function placesIn(book: Book): readonly (readonly [lessonId: string, PlaceInBook])[] {
  return book.units.flatMap((unit) => {
    const topic = `${unit.number} ${unit.title}`
    return unit.lessons.map((l) => [l.id, { unit: unitName(book, unit), number: l.number, topic }] as const)
  })
}

/** The textbooks and every piece's card. */
export const useShelf = defineStore('shelf', () => {
  const shelf = shallowRef<Shelf | null>(null)
  const problem = shallowRef<Refusal | null>(null)
  const byLesson = computed(() => {
    const map = new Map<string, PieceCard[]>()
    for (const piece of shelf.value?.pieces ?? []) {
      // a piece of a textbook stands in its lesson, whoever read the book in
      const key = piece.bookLessonId ?? (piece.own ? 'own' : '')
      const list = map.get(key)
      if (list) list.push(piece)
      else map.set(key, [piece])
    }
    return map
  })
  const books = computed(() => shelf.value?.books ?? [])

  let loading: Promise<void> | null = null
  async function fetchShelf(): Promise<void> {
    const reply = await call(ShowShelf)
    problem.value = reply.ok ? null : reply.error
    if (reply.ok) shelf.value = reply.value
    loading = null
  }
  /** Loads once unless asked `anew`; who asks meanwhile waits for the same answer. */
  async function load(anew = false): Promise<void> {
    if (shelf.value && !anew) return
    loading ??= fetchShelf()
    await loading
  }
  function piecesOf(bookLessonId: string | null): readonly PieceCard[] {
    return bookLessonId === null ? [] : (byLesson.value.get(bookLessonId) ?? [])
  }
  function piece(id: ResourceId | string | null): PieceCard | null {
    return shelf.value?.pieces.find((p) => p.id === id) ?? null
  }

  const placeOfLesson = computed(() => new Map(books.value.flatMap(placesIn)))
  /** Where in a textbook a piece stands; null: in none of its lessons. */
  function placeOf(card: PieceCard): PlaceInBook | null {
    return placeOfLesson.value.get(card.bookLessonId ?? '') ?? null
  }
  /** Where a piece comes from, in a word: its lesson, its textbook, or the school itself. */
  function whereFrom(card: PieceCard): string {
    const book = books.value.find((b) => b.id === card.bookId)
    return placeOf(card)?.number ?? book?.title ?? 'own'
  }

  return { shelf, problem, books, byLesson, load, piecesOf, piece, placeOf, whereFrom }
})

<script setup lang="ts">
import { computed, watch } from 'vue'
import type { BookId, ClassId } from '#core/base'
import type { BenchmarkTime, Book } from '#core/library'
import type { PieceCard } from '#shared/contracts/library'
import { useOpenBranches } from '../composables/openBranches'
import { unitName, useShelf } from '../stores/shelf'
import { useTray } from '../stores/tray'
import { count } from '~/shared/words/numbers'
import FoldRow from './FoldRow.vue'
import OutlinePiece from './OutlinePiece.vue'

const props = defineProps<{
  chosen: string | null
  /** The class's textbooks; null: for nobody in particular, all of them. */
  bookIds: readonly BookId[] | null
  classId: ClassId | null
  className: string | null
  /** Textbooks that are open to the class as practice; null: not known. */
  routes: readonly BookId[] | null
}>()
const emit = defineEmits<{
  choose: [piece: PieceCard]
  books: [ids: readonly BookId[]]
  route: [id: BookId, isOpen: boolean]
}>()
const BENCHMARK_WORDS: Record<BenchmarkTime, string> = {
  start: 'start of the year',
  middle: 'middle of the year',
  end: 'end of the year',
}
const shelf = useShelf()
const tray = useTray()
const { open, openUp, toggle } = useOpenBranches('textbooks')

watch(
  [() => props.chosen, () => shelf.shelf],
  () => {
    const piece = shelf.piece(props.chosen)
    const unit = piece ? shelf.placeOf(piece)?.unit : undefined
    const [book] = shelf.books
    if (unit) openUp(unit)
    else if (open.value.size === 0 && book?.units[0]) openUp(unitName(book, book.units[0]))
  },
  { immediate: true },
)

const isOfClass = (id: BookId) => props.bookIds === null || props.bookIds.includes(id)
const books = computed(() => shelf.books.filter((b) => isOfClass(b.id)))
const others = computed(() => shelf.books.filter((b) => !isOfClass(b.id)))
const setBook = (id: BookId, isIn: boolean) => {
  const left = (props.bookIds ?? []).filter((b) => b !== id)
  emit('books', isIn ? [...left, id] : left)
}
/** Tests of all that a year is about, those that are on the shelf. */
function benchmarksOf(book: Book) {
  return book.benchmarks.flatMap(({ at, resourceId }) => {
    const piece = shelf.piece(resourceId)
    return piece ? [{ at, piece }] : []
  })
}
const own = computed(() => shelf.byLesson.get('own') ?? [])
type Lessons = readonly { readonly id: string }[]
const allIn = (lessons: Lessons) => lessons.flatMap((l) => shelf.piecesOf(l.id))
/** Whether all, some or none of what lessons hold is ticked. */
function stateOf(lessons: Lessons): boolean | 'indeterminate' {
  const all = allIn(lessons)
  const on = all.filter((p) => tray.has(p.id)).length
  if (on === 0) return false
  return on === all.length ? true : 'indeterminate'
}
function tick(lessons: Lessons, isOn: boolean): void {
  const ids = allIn(lessons).map((p) => p.id)
  if (isOn) tray.put(ids)
  else tray.take(ids)
}
function aboutUnit(lessons: Lessons): string {
  const pieces = allIn(lessons).length
  return [count(lessons.length, 'lesson'), ...(pieces ? [count(pieces, 'piece')] : [])].join(', ')
}
</script>

<template>
  <div class="shelf-outline" data-hook="outline">
    <section v-if="own.length" class="book">
      <h2>Our own pieces</h2>
      <ul>
        <li v-for="p in own" :key="p.id">
          <OutlinePiece :piece="p" :is-chosen="p.id === chosen" @choose="emit('choose', p)" />
        </li>
      </ul>
    </section>
    <section v-for="book in books" :key="book.id" class="book">
      <h2>
        {{ book.title }} <span v-if="book.course !== book.title" class="said">{{ book.course }}</span>
        <UButton
          v-if="className"
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`${book.title} is no textbook of ${className}`"
          @click="setBook(book.id, false)"
        />
      </h2>
      <USwitch
        v-if="className && routes"
        size="sm"
        :label="`Open to ${className} as practice`"
        :model-value="routes.includes(book.id)"
        :data-hook="`route-${book.id}`"
        @update:model-value="emit('route', book.id, $event === true)"
      />
      <NuxtLink
        v-if="classId && routes?.includes(book.id)"
        class="plain said"
        :to="{ path: '/classes/practice', query: { class: classId } }"
        >to whom, and what they did</NuxtLink
      >
      <div v-if="benchmarksOf(book).length" data-hook="benchmarks">
        <FoldRow
          title="Tests of the whole year"
          :about="count(benchmarksOf(book).length, 'test')"
          :is-open="open.has(book.id)"
          @toggle="toggle(book.id)"
        />
        <div v-if="open.has(book.id)" class="lessons">
          <OutlinePiece
            v-for="b in benchmarksOf(book)"
            :key="b.piece.id"
            :piece="b.piece"
            :from="BENCHMARK_WORDS[b.at]"
            :is-chosen="b.piece.id === chosen"
            @choose="emit('choose', b.piece)"
          />
        </div>
      </div>
      <div v-for="unit in book.units" :key="unit.number">
        <FoldRow
          :title="`${unit.number} ${unit.title}`"
          :about="aboutUnit(unit.lessons)"
          :is-open="open.has(unitName(book, unit))"
          @toggle="toggle(unitName(book, unit))"
        />
        <ul v-if="open.has(unitName(book, unit))" class="lessons">
          <li v-if="allIn(unit.lessons).length" class="pt-1.5">
            <UCheckbox
              size="sm"
              label="The whole unit"
              :model-value="stateOf(unit.lessons)"
              data-hook="tick-unit"
              @update:model-value="tick(unit.lessons, $event === true)"
            />
          </li>
          <li v-for="lesson in unit.lessons" :key="lesson.id">
            <div class="lesson">
              <UCheckbox
                v-if="shelf.piecesOf(lesson.id).length"
                size="sm"
                :model-value="stateOf([lesson])"
                :aria-label="`Tick all of ${lesson.number} ${lesson.title}`"
                data-hook="tick-lesson"
                @update:model-value="tick([lesson], $event === true)"
              />
              <p class="flex-1">
                <b>{{ lesson.number }}</b> {{ lesson.title }}
                <span class="said"
                  >{{ lesson.typicalMeetings }}
                  {{ lesson.typicalMeetings <= 1 ? 'meeting' : 'meetings' }}</span
                >
              </p>
            </div>
            <OutlinePiece
              v-for="p in shelf.piecesOf(lesson.id)"
              :key="p.id"
              :piece="p"
              :is-chosen="p.id === chosen"
              @choose="emit('choose', p)"
            />
          </li>
        </ul>
      </div>
    </section>
    <section v-if="className && others.length" class="book" data-hook="other-books">
      <h2>Other textbooks</h2>
      <p v-for="book in others" :key="book.id" class="flex items-center gap-2 py-1">
        <span class="flex-1"
          >{{ book.title }} <span class="said">{{ book.course }}</span></span
        >
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          :aria-label="`Use ${book.title} in ${className}`"
          @click="setBook(book.id, true)"
          >Use in {{ className }}</UButton
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.book {
  margin-top: 1.1rem;
}
.lessons {
  padding-left: 1.35rem;
}
.lesson {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  padding: 0.4rem 0 0.1rem;
  font-size: var(--text-sm);
}
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ResourceId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { useShelf } from '../stores/shelf'
import { count } from '~/shared/words/numbers'
import OutlinePiece from './OutlinePiece.vue'

const props = defineProps<{ chosen: string | null }>()
const emit = defineEmits<{ choose: [piece: PieceCard] }>()
const ticked = defineModel<readonly ResourceId[]>('ticked', { required: true })
const shelf = useShelf()
const open = ref(new Set<string>())

watch(
  [() => props.chosen, () => shelf.shelf],
  () => {
    const piece = shelf.piece(props.chosen)
    if (piece?.bookLessonId) open.value = new Set([...open.value, piece.bookLessonId.split('.')[0] ?? ''])
    else if (open.value.size === 0 && shelf.books[0]?.units[0])
      open.value = new Set([shelf.books[0].units[0].number])
  },
  { immediate: true },
)

function toggle(unit: string): void {
  const next = new Set(open.value)
  if (!next.delete(unit)) next.add(unit)
  open.value = next
}
const own = computed(() => shelf.byLesson.get('own') ?? [])
type Lessons = readonly { readonly id: string }[]
const allIn = (lessons: Lessons) => lessons.flatMap((l) => shelf.piecesOf(l.id))
/** Whether all, some or none of what lessons hold is ticked. */
function stateOf(lessons: Lessons): boolean | 'indeterminate' {
  const all = allIn(lessons)
  const on = all.filter((p) => ticked.value.includes(p.id)).length
  if (on === 0) return false
  return on === all.length ? true : 'indeterminate'
}
const tick = (lessons: Lessons, isOn: boolean) => tickPieces(allIn(lessons), isOn)
function tickPieces(pieces: readonly PieceCard[], isOn: boolean): void {
  const ids = pieces.map((p) => p.id)
  const others = ticked.value.filter((id) => !ids.includes(id))
  ticked.value = isOn ? [...others, ...ids] : others
}
const piecesIn = (lessons: readonly { id: string }[]) =>
  lessons.reduce((n, l) => n + shelf.piecesOf(l.id).length, 0)
</script>

<template>
  <div class="shelf-outline" data-hook="outline">
    <section v-if="own.length" class="book">
      <h2>Our own pieces</h2>
      <ul>
        <li v-for="p in own" :key="p.id">
          <OutlinePiece
            :piece="p"
            :is-chosen="p.id === chosen"
            :is-ticked="ticked.includes(p.id)"
            @choose="emit('choose', p)"
            @tick="tickPieces([p], $event)"
          />
        </li>
      </ul>
    </section>
    <section v-for="book in shelf.books" :key="book.id" class="book">
      <h2>
        {{ book.title }} <span class="said">{{ book.course }}</span>
      </h2>
      <div v-for="unit in book.units" :key="unit.number">
        <button
          type="button"
          class="unit"
          :aria-expanded="open.has(unit.number)"
          @click="toggle(unit.number)"
        >
          <UIcon
            :name="open.has(unit.number) ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
            class="size-4"
            aria-hidden="true"
          /><span>{{ unit.number }} {{ unit.title }}</span
          ><span class="said"
            >{{ count(unit.lessons.length, 'lesson')
            }}<template v-if="piecesIn(unit.lessons)"
              >, {{ count(piecesIn(unit.lessons), 'piece') }}</template
            ></span
          >
        </button>
        <ul v-if="open.has(unit.number)" class="lessons">
          <li v-if="piecesIn(unit.lessons)" class="pt-1.5">
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
              :is-ticked="ticked.includes(p.id)"
              @choose="emit('choose', p)"
              @tick="tickPieces([p], $event)"
            />
          </li>
        </ul>
      </div>
    </section>
  </div>
</template>

<style scoped>
.book {
  margin-top: 1.1rem;
}
.unit {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  width: 100%;
  padding: 0.35rem 0;
  text-align: left;
  font-weight: 600;
  cursor: pointer;
  border-bottom: 1px solid var(--ui-border);
}
.unit span:nth-child(2) {
  flex: 1;
}
.lessons {
  padding-left: 1.35rem;
}
.lesson {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  padding: 0.4rem 0 0.1rem;
  font-size: 0.93rem;
}
</style>

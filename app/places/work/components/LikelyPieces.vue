<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, Instant } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { sayPiece } from '~/shared/words/pieces'
import { lessonsNear } from '../likely'

/** While there is no piece yet: those of the lessons that the classes are at. */
const props = defineProps<{ classIds: readonly ClassId[]; now: Instant }>()
const emit = defineEmits<{ add: [card: PieceCard] }>()
const desk = useDesk()
const shelf = useShelf()
const MOST_LESSONS = 3
const MOST_PIECES = 8
const columns = computed(() => {
  const own = desk.columns.filter((c) => c.of.mayChange)
  const meant = own.filter((c) => props.classIds.includes(c.of.id))
  return meant.length > 0 ? meant : own
})
const lessons = computed(() => {
  const known = new Map(columns.value.flatMap((c) => [...c.lessons]))
  return lessonsNear(columns.value, props.now, MOST_LESSONS).flatMap((id) => known.get(id) ?? [])
})
const pieces = computed(() =>
  lessons.value
    .flatMap((lesson) => shelf.piecesOf(lesson.bookLessonId).map((card) => ({ card, lesson })))
    .slice(0, MOST_PIECES),
)
</script>

<template>
  <section v-if="pieces.length" aria-label="Likely pieces" data-hook="likely">
    <h3>From the lessons you are at</h3>
    <ul>
      <li v-for="{ card, lesson } in pieces" :key="card.id" class="flex items-start gap-2 py-1">
        <div class="flex-1 min-w-0">
          <p class="text-sm">{{ card.title }}</p>
          <p class="said">{{ lesson.number }} · {{ sayPiece(card) }}</p>
        </div>
        <UButton size="xs" variant="outline" :aria-label="`Add ${card.title}`" @click="emit('add', card)"
          >Add</UButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--ui-border);
}
</style>

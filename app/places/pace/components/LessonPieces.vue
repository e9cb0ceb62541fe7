<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { ClassId, LessonId } from '#core/base'
import { useShelf } from '~/places/shelf'
import { sayPiece } from '~/shared/words/pieces'
import { holdPiece } from '../desk/holdPiece'

const props = defineProps<{ lessonId: LessonId; classId: ClassId; bookLessonId: string | null }>()
const shelf = useShelf()
onMounted(() => shelf.load())
const pieces = computed(() => shelf.piecesOf(props.bookLessonId))
const ticked = ref<readonly string[]>([])
watch(
  () => props.lessonId,
  () => {
    ticked.value = []
  },
)
function tick(id: string, isIn: boolean): void {
  ticked.value = isIn ? [...ticked.value, id] : ticked.value.filter((p) => p !== id)
}
/** Ticked pieces in the order of the book, for the composer. */
const together = computed(() =>
  pieces.value.map((p) => p.id as string).filter((id) => ticked.value.includes(id)),
)
</script>

<template>
  <section aria-label="Pieces of this lesson">
    <h3>Pieces</h3>
    <p v-if="pieces.length" class="said">Assign one, or drag it onto a lesson of any class.</p>
    <p v-if="pieces.length === 0" class="said">
      {{
        bookLessonId
          ? 'The textbook has no pieces for this lesson yet.'
          : 'This lesson draws on no textbook lesson. Assign an own piece from the shelf.'
      }}
    </p>
    <ul>
      <li
        v-for="p in pieces"
        :key="p.id"
        :ref="(el) => holdPiece(el as HTMLElement | null, p.id)"
        class="flex items-start gap-2 py-1 border-b border-muted cursor-grab"
      >
        <UCheckbox
          class="mt-0.5"
          :model-value="ticked.includes(p.id)"
          :aria-label="`${p.title}, for several at once`"
          data-hook="tick-piece"
          @update:model-value="tick(p.id, $event === true)"
        />
        <div class="flex-1 min-w-0">
          <NuxtLink class="plain text-sm" :to="{ path: '/shelf', query: { piece: p.id } }">{{
            p.title
          }}</NuxtLink>
          <p class="said">{{ sayPiece(p) }}</p>
        </div>
        <UButton
          size="xs"
          variant="outline"
          :to="{ path: '/work/new', query: { piece: p.id, lesson: lessonId, class: classId } }"
          data-hook="assign"
          >Assign</UButton
        >
      </li>
    </ul>
    <UButton
      v-if="ticked.length > 1"
      class="mt-2"
      size="xs"
      :to="{
        path: '/work/new',
        query: { piece: together.join(','), lesson: lessonId, class: classId },
      }"
      data-hook="assign-together"
      >Assign {{ ticked.length }} together</UButton
    >
    <UButton
      v-if="pieces.length === 0"
      class="mt-2 mr-2"
      size="xs"
      variant="outline"
      :to="{ path: '/shelf', query: { lesson: lessonId, class: classId } }"
      >Choose from the shelf</UButton
    >
    <UButton
      class="mt-2"
      size="xs"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      :to="{ path: '/work/new', query: { lesson: lessonId, class: classId } }"
      data-hook="assign-new"
      >Something new</UButton
    >
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, LessonId } from '#core/base'
import { useTray } from '~/places/shelf'
import { sayPiece } from '~/shared/words/pieces'
import { count } from '~/shared/words/numbers'
import { holdPiece } from '../desk/holdPiece'

/** What lies in the teacher's tray, to be given at a lesson: one by one, or all together. */
const props = defineProps<{ lessonId: LessonId; classId: ClassId }>()
const tray = useTray()
void tray.load()
const to = (pieces: readonly string[]) => ({
  path: '/work/new',
  query: { piece: pieces.join(','), lesson: props.lessonId, class: props.classId, tray: '1' },
})
const all = computed(() => tray.cards.map((c) => c.id as string))
</script>

<template>
  <section v-if="tray.cards.length" aria-label="From your tray" data-hook="from-tray">
    <h3>From your tray</h3>
    <ul>
      <li
        v-for="p in tray.cards"
        :key="p.id"
        :ref="(el) => holdPiece(el as HTMLElement | null, p.id)"
        class="flex items-start gap-2 py-1 border-b border-muted cursor-grab"
      >
        <div class="flex-1 min-w-0">
          <p class="text-sm">{{ p.title }}</p>
          <p class="said">{{ sayPiece(p) }}</p>
        </div>
        <UButton size="xs" variant="outline" :to="to([p.id])" :aria-label="`Assign here: ${p.title}`"
          >Assign</UButton
        >
      </li>
    </ul>
    <UButton v-if="all.length > 1" class="mt-2" size="xs" :to="to(all)" data-hook="assign-tray-here"
      >Assign all {{ count(all.length, 'piece') }} here</UButton
    >
  </section>
</template>

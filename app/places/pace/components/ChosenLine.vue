<script setup lang="ts">
import { computed } from 'vue'
import { sayDay } from '~/shared/words/times'
import type { Selection } from '../desk/selection'
import type { DeskColumn } from '../stores/deskColumn'

/** What is chosen, in one line: while the details are folded away and nothing hovers, a stone says its number only. */
const props = defineProps<{ selection: Selection | null; column: DeskColumn | null }>()
const words = computed(() => {
  const { selection, column } = props
  if (!selection || !column) return ''
  if (selection.kind === 'meeting') return `${column.of.name}, ${sayDay(selection.on)}`
  const lesson = column.lessons.get(selection.lessonId)
  const extent = column.extents.get(selection.lessonId)
  const days = [extent?.first, extent?.last]
    .flatMap((at) => (at === undefined ? [] : (column.calendar.meetings[at]?.on ?? [])))
    .filter((on, i, all) => all.indexOf(on) === i)
  return `${column.of.name}, ${days.map(sayDay).join(' to ')}: ${lesson?.number ?? ''} ${lesson?.title ?? ''}`
})
</script>

<template>
  <p v-if="words" class="chosen" role="status" data-hook="chosen-line">{{ words }}</p>
</template>

<style scoped>
.chosen {
  padding: 0.3rem 1rem;
  border-top: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
  font-size: var(--text-sm);
}
</style>

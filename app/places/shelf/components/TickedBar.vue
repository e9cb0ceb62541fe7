<script setup lang="ts">
import { computed } from 'vue'
import type { ResourceId } from '#core/base'
import { count } from '~/shared/words/numbers'
import { useShelf } from '../stores/shelf'

/** What was ticked in the outline, counted, and where it can go. */
const props = defineProps<{ lesson: string | null; classId: string | null }>()
const ticked = defineModel<readonly ResourceId[]>({ required: true })
const shelf = useShelf()
const minutes = computed(() => ticked.value.reduce((sum, id) => sum + (shelf.piece(id)?.minutes ?? 0), 0))
const to = computed(() => ({
  path: '/work/new',
  query: {
    piece: ticked.value.join(','),
    ...(props.lesson ? { lesson: props.lesson } : {}),
    ...(props.classId ? { class: props.classId } : {}),
  },
}))
function clear(): void {
  ticked.value = []
}
</script>

<template>
  <div class="ticked" role="region" aria-label="What is ticked" data-hook="ticked-bar">
    <b>{{ count(ticked.length, 'piece') }}, {{ minutes }} min</b>
    <UButton size="sm" :to="to" data-hook="assign-ticked">Assign</UButton>
    <UButton size="sm" color="neutral" variant="ghost" data-hook="tick-none" @click="clear"
      >Tick none</UButton
    >
  </div>
</template>

<style scoped>
.ticked {
  position: sticky;
  bottom: -2rem;
  display: flex;
  gap: 0.6rem;
  align-items: center;
  padding: 0.6rem 0;
  background: var(--ui-bg);
  border-top: 2px solid var(--ui-primary);
}
</style>

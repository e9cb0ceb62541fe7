<script setup lang="ts">
import { computed } from 'vue'
import { count } from '~/shared/words/numbers'
import { usePickedItems } from '../stores/pickedItems'
import KeepCheck from './KeepCheck.vue'

/** A check out of questions that were picked one by one from several banks, in the order of picking. */
defineProps<{ grade: number; classId: string | null }>()
const emit = defineEmits<{ close: [] }>()
const items = usePickedItems()
const usualTitle = computed(() => {
  const from = [...new Set(items.picked.map((p) => p.from.title.replace(/^(?:Check|Practice): /, '')))]
  const rest = from.length > 2 ? ` and ${from.length - 2} more` : ''
  return `Check: ${from.slice(0, 2).join(', ')}${rest}`.slice(0, 120)
})
function kept(): void {
  items.clear()
  emit('close')
}
</script>

<template>
  <section aria-label="Check from picked questions" data-hook="picked-check">
    <header class="flex gap-3 items-start">
      <div class="flex-1">
        <h2 class="!text-xl">Check from picked questions</h2>
        <p class="said">
          {{ count(items.picked.length, 'question') }} out of {{ count(items.banks, 'bank') }}. Pick more with
          the answers of any piece.
        </p>
      </div>
      <UButton color="neutral" variant="ghost" icon="i-lucide-x" aria-label="Close" @click="emit('close')" />
    </header>
    <KeepCheck
      :items="items.picked"
      :standards="[]"
      :grade="grade"
      :class-id="classId"
      :usual-title="usualTitle"
      @leave-out="items.leaveOut"
      @kept="kept"
    />
  </section>
</template>

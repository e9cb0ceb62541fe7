<script setup lang="ts">
import type { Resource } from '#core/library'
import type { Misfit } from '#core/versions'

/** What of a layer the piece no longer bears, each with what mends it. */
defineProps<{ misfits: readonly Misfit[]; core: Resource }>()
const emit = defineEmits<{ mend: [misfit: Misfit] }>()

function say(misfit: Misfit): string {
  switch (misfit.code) {
    case 'versions/mark-gone':
      return `“${misfit.mark.quote}” is no longer in the text.`
    case 'versions/hint-without-item':
      return `The question of the hint “${misfit.hint}” is gone.`
    case 'versions/chosen-item-gone':
      return 'A question that was chosen is gone.'
    case 'versions/nothing-chosen':
      return 'All chosen questions are gone: all questions are asked for now.'
  }
}
function act(misfit: Misfit): string {
  if (misfit.code === 'versions/nothing-chosen') return 'Ask all'
  if (misfit.code === 'versions/mark-gone' && misfit.mended) return `Mark “${misfit.mended.quote}”`
  return 'Take it out'
}
</script>

<template>
  <div class="grid gap-1" data-hook="misfits">
    <p class="said">The piece was changed. This no longer fits:</p>
    <p v-for="(misfit, i) in misfits" :key="i" class="note-line care">
      <span class="flex-1">{{ say(misfit) }}</span>
      <UButton size="xs" color="neutral" variant="outline" data-hook="mend" @click="emit('mend', misfit)">{{
        act(misfit)
      }}</UButton>
    </p>
  </div>
</template>

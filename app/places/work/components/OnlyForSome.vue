<script setup lang="ts">
import { computed } from 'vue'
import type { WorkPiece } from '#core/work'
import type { Preview } from '#shared/contracts/work'
import { sayList } from '~/shared/words/lists'
import { count } from '~/shared/words/numbers'

/** Who of those whom the work reaches have a piece that is for some only; a press gives it to all of them. */
const props = defineProps<{ piece: WorkPiece; title: string; preview: Preview | null }>()
const emit = defineEmits<{ everybody: [] }>()
/** So many names are said; more are counted. */
const MOST_NAMES = 3
const names = computed(() =>
  (props.preview?.who ?? []).filter((w) => w.pieceId === props.piece.id).map((w) => w.name),
)
const said = computed(() => {
  const more = names.value.length - MOST_NAMES
  if (more <= 1) return sayList(names.value)
  return sayList([...names.value.slice(0, MOST_NAMES), count(more, 'other')])
})
</script>

<template>
  <p v-if="piece.onlyIds" class="said mt-1" data-hook="only-for">
    Only for {{ said || count(piece.onlyIds.length, 'learner') }}.
    <UButton
      size="xs"
      variant="link"
      class="px-0"
      :aria-label="`Give ${title} to everybody`"
      @click="emit('everybody')"
      >Give to everybody</UButton
    >
  </p>
</template>

<script setup lang="ts">
import { ref, watch } from 'vue'
import { same } from '#core/base'

/** Entries written one a line. */
const props = defineProps<{ lines: readonly string[]; name: string }>()
const emit = defineEmits<{ lines: [lines: readonly string[]] }>()
const text = ref(props.lines.join('\n'))
const entries = (of: string) =>
  of
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
watch(
  () => props.lines,
  (lines) => {
    // what is being typed stays as it is
    if (!same(lines, entries(text.value))) text.value = lines.join('\n')
  },
)
watch(text, (now) => emit('lines', entries(now)))
</script>

<template>
  <UTextarea v-model="text" :rows="Math.max(3, lines.length + 1)" class="w-full" :aria-label="name" />
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'

/** Lines of a table of which something is to be said: the first of them, and the others when they are asked for. */
const props = defineProps<{
  lines: readonly { readonly line: number; readonly text: string }[]
  needs?: boolean
}>()
const FIRST = 4
const isOpen = ref(false)
const shown = computed(() => (isOpen.value ? props.lines : props.lines.slice(0, FIRST)))
</script>

<template>
  <div class="text-sm">
    <ul>
      <li v-for="l in shown" :key="l.line" class="note-line" :class="{ needs }">
        Line {{ l.line }}: {{ l.text }}
      </li>
    </ul>
    <UButton
      v-if="shown.length < lines.length"
      size="xs"
      color="neutral"
      variant="ghost"
      data-hook="more-lines"
      @click="
        () => {
          isOpen = true
        }
      "
      >and {{ lines.length - shown.length }} more</UButton
    >
  </div>
</template>

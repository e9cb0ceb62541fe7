<script setup lang="ts">
import { computed } from 'vue'
import type { Frame } from '#core/versions'
import LinesForm from './LinesForm.vue'

/** Sentences to complete, written with ___ where something is missing. */
const props = defineProps<{ frames: readonly Frame[] }>()
const emit = defineEmits<{ frames: [frames: readonly Frame[]] }>()
const lines = computed(() => props.frames.map((f) => f.text.replace(/\[\d{1,2}\]/g, '___')))
function read(written: readonly string[]): void {
  emit(
    'frames',
    written.map((line, i) => {
      let blank = 0
      return { id: `f${i + 1}`, text: line.replace(/_{2,}/g, () => `[${++blank}]`) }
    }),
  )
}
</script>

<template><LinesForm :lines="lines" name="Sentences to complete" @lines="read" /></template>

<script setup lang="ts">
import { useDropZone, useFileDialog } from '@vueuse/core'
import { ref, toRef, useTemplateRef } from 'vue'
import { MOST_KEPT_BYTES } from '#core/library'
import { toBase64 } from '../wire/base64'

/** Lets somebody choose a file that is kept, or drop it here. What is too large is not even sent. */
const props = defineProps<{ label: string; accept: string; busy: boolean }>()
const emit = defineEmits<{ chosen: [file: { readonly name: string; readonly base64: string }] }>()
const problem = ref('')
// the same file may be chosen once more
const { open, onChange } = useFileDialog({ accept: toRef(props, 'accept'), multiple: false, reset: true })
onChange((list) => take(list?.[0]))
const zone = useTemplateRef<HTMLElement>('zone')
const { isOverDropZone } = useDropZone(zone, { multiple: false, onDrop: (list) => take(list?.[0]) })
function take(file: File | undefined): void {
  if (!file || props.busy) return
  problem.value = refusalOf(file)
  if (!problem.value) void send(file)
}

function refusalOf(file: File): string {
  if (file.size === 0) return `“${file.name}” is empty.`
  if (file.size <= MOST_KEPT_BYTES) return ''
  return `“${file.name}” is larger than ${MOST_KEPT_BYTES / 1_000_000} MB.`
}

async function send(file: File): Promise<void> {
  emit('chosen', { name: file.name, base64: await toBase64(file) })
}
</script>

<template>
  <div ref="zone" class="zone" :class="{ over: isOverDropZone }">
    <UButton color="neutral" variant="outline" :loading="busy" data-hook="choose-file" @click="open()">{{
      label
    }}</UButton>
    <p v-if="problem" class="note-line needs mt-1" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.zone.over {
  outline: 2px dashed var(--ui-primary);
  outline-offset: 4px;
  border-radius: 6px;
}
</style>

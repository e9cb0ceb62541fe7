<script setup lang="ts">
import { ref } from 'vue'
import { toBase64 } from '../wire/base64'

/** Lets somebody choose a file. What is too large is not even sent. */
const props = defineProps<{ label: string; accept: string; mostBytes: number; busy: boolean }>()
const emit = defineEmits<{ chosen: [file: { readonly name: string; readonly base64: string }] }>()
const problem = ref('')

async function choose(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  problem.value = ''
  if (file.size === 0) problem.value = `“${file.name}” is empty.`
  else if (file.size > props.mostBytes)
    problem.value = `“${file.name}” is larger than ${props.mostBytes / 1_000_000} MB.`
  else emit('chosen', { name: file.name, base64: await toBase64(file) })
  // the same file may be chosen once more
  field.value = ''
}
</script>

<template>
  <div>
    <label class="choose" :class="{ busy }">
      <input type="file" class="sr-only" :accept="accept" :disabled="busy" @change="choose" />
      {{ busy ? 'Sending …' : label }}
    </label>
    <p v-if="problem" class="note-line needs mt-1" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.choose {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 2rem;
  padding: 0.25rem 0.8rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  background: var(--ui-bg);
  font-size: 0.875rem;
  font-weight: 600;
  cursor: pointer;
}
.choose:hover {
  background: var(--ui-bg-elevated);
}
.choose:focus-within {
  outline: 2px solid var(--ui-primary);
  outline-offset: 1px;
}
.busy {
  cursor: progress;
  color: var(--ui-text-muted);
}
</style>

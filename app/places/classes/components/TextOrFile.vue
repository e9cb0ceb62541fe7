<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import { takeCarried } from '~/shared/fields/carriedFile'
import type { ReadAt } from '~/shared/fields/carriedFile'

/** Outside text, typed, pasted or from a file. */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  accept: string
  placeholder: string
  rows?: number
  mostBytes: number
  /** Takes what was chosen at another place, and is read here. */
  carried?: ReadAt
}>()
const emit = defineEmits<{ tooLarge: [] }>()
const file = ref<File | null>(null)

watch(file, async (chosen) => {
  if (!chosen) return
  if (chosen.size > props.mostBytes) emit('tooLarge')
  else {
    const { textOfBytes } = await import('../fileText')
    text.value = textOfBytes(new Uint8Array(await chosen.arrayBuffer()))
  }
  file.value = null
})
onMounted(() => {
  if (props.carried) file.value = takeCarried(props.carried)
})
</script>

<template>
  <div class="grid gap-1.5">
    <UFormField :label="label"
      ><UTextarea
        v-model="text"
        :rows="rows ?? 8"
        :placeholder="placeholder"
        class="font-mono"
        :ui="{ base: 'font-mono text-sm' }"
    /></UFormField>
    <UFileUpload
      v-model="file"
      variant="button"
      size="sm"
      icon="i-lucide-file-up"
      :accept="accept"
      :aria-label="`File: ${label}`"
      class="justify-self-start"
    >
      <template #default="{ open }">
        <UButton size="xs" color="neutral" variant="outline" icon="i-lucide-file-up" @click="open()"
          >or choose a file<span class="sr-only">: {{ label }}</span></UButton
        >
      </template>
    </UFileUpload>
  </div>
</template>

<script setup lang="ts">
const text = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  accept: string
  placeholder: string
  rows?: number
  mostBytes: number
}>()
const emit = defineEmits<{ tooLarge: [] }>()

async function read(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  if (file.size > props.mostBytes) emit('tooLarge')
  else text.value = await file.text()
  input.value = ''
}
</script>

<template>
  <div class="grid gap-1.5">
    <UFormField :label="label"
      ><UTextarea
        v-model="text"
        :rows="rows ?? 8"
        :placeholder="placeholder"
        class="font-mono"
        :ui="{ base: 'font-mono text-[0.85rem]' }"
    /></UFormField>
    <label class="file"
      ><UIcon name="i-lucide-file-up" class="size-4" aria-hidden="true" />or choose a file<input
        type="file"
        :accept="accept"
        class="sr-only"
        @change="read"
    /></label>
  </div>
</template>

<style scoped>
.file {
  display: inline-flex;
  gap: 0.4rem;
  align-items: center;
  justify-self: start;
  font-size: 0.88rem;
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 2px;
  cursor: pointer;
}
.file:has(:focus-visible) {
  outline: 2px solid var(--ui-primary);
}
</style>

<script setup lang="ts">
import { useTemplateRef } from 'vue'

/** Markdown written as it will look. */
const text = defineModel<string>({ required: true })
const BUTTONS = [
  [
    { kind: 'mark', mark: 'bold', icon: 'i-lucide-bold', 'aria-label': 'Bold' },
    { kind: 'mark', mark: 'italic', icon: 'i-lucide-italic', 'aria-label': 'Italic' },
  ],
  [
    { kind: 'heading', level: 2, icon: 'i-lucide-heading-2', 'aria-label': 'Heading' },
    { kind: 'bulletList', icon: 'i-lucide-list', 'aria-label': 'List' },
    { kind: 'orderedList', icon: 'i-lucide-list-ordered', 'aria-label': 'Numbered list' },
    { kind: 'blockquote', icon: 'i-lucide-quote', 'aria-label': 'Quotation' },
  ],
  [
    { kind: 'undo', icon: 'i-lucide-undo-2', 'aria-label': 'Undo' },
    { kind: 'redo', icon: 'i-lucide-redo-2', 'aria-label': 'Redo' },
  ],
] as const
const box = useTemplateRef('box')
defineExpose({
  /** Puts a picture where the cursor is. */
  putIn(address: string, words: string): void {
    box.value?.editor?.chain().focus().setImage({ src: address, alt: words }).run()
  },
})
</script>

<template>
  <UEditor
    ref="box"
    v-slot="{ editor }"
    v-model="text"
    content-type="markdown"
    :mention="false"
    class="rich"
    role="textbox"
    aria-multiline="true"
    aria-label="Text"
    data-hook="rich-text"
  >
    <UEditorToolbar :editor="editor" :items="[...BUTTONS.map((group) => [...group])]" class="bar" />
  </UEditor>
</template>

<style scoped>
.rich {
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  min-height: 10rem;
  background: var(--ui-bg);
}
.bar {
  border-bottom: 1px solid var(--ui-border);
  padding: 0.25rem;
}
</style>

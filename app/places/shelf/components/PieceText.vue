<script setup lang="ts">
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { toHtml } from '~/shared/words/markdown'
import PutInPicture from './PutInPicture.vue'

// the editor is large: it comes when somebody writes
const RichText = defineAsyncComponent(() => import('./RichText.vue'))
/** The text of a piece: formatted, as its source, or as learners see it. */
const text = defineModel<string>({ required: true })
defineProps<{ help: string }>()
const as = ref<'formatted' | 'source' | 'seen' | null>('source')
const WAYS = [
  { value: 'source', label: 'Source', hook: 'text-source' },
  { value: 'formatted', label: 'Formatted', hook: 'text-formatted' },
  { value: 'seen', label: 'As learners see it', hook: 'text-seen' },
] as const
/** The formatted editor knows no tables and no formulas: they would be lost in it. */
const isBeyond = computed(
  () => text.value.split('\n').some((line) => line.trim().startsWith('|')) || /\$[^$\n]+\$/.test(text.value),
)
const source = useTemplateRef<{ textareaRef: HTMLTextAreaElement | null }>('source')
const formatted = useTemplateRef<{ putIn: (address: string, words: string) => void }>('formatted')
/** A picture comes where one writes; at the end, where nobody does. */
function putIn(address: string, words: string): void {
  if (formatted.value) return formatted.value.putIn(address, words)
  const at = source.value?.textareaRef?.selectionEnd ?? text.value.length
  const [before, after] = [text.value.slice(0, at).trimEnd(), text.value.slice(at).trimStart()]
  text.value = [before, `![${words}](${address})`, after].filter((part) => part !== '').join('\n\n')
}
</script>

<template>
  <div class="grid gap-2">
    <ChoiceButtons v-model="as" label="Write the text" :items="WAYS" />
    <p v-if="as === 'formatted' && isBeyond" class="note-line care" data-hook="beyond">
      This text has a table or a formula: change it as source, where both stay as they are.
    </p>
    <RichText v-else-if="as === 'formatted'" ref="formatted" v-model="text" />
    <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
    <div v-else-if="as === 'seen'" class="prose" data-hook="text-as-seen" v-html="toHtml(text)" />
    <UFormField
      v-if="as === 'source' || (as === 'formatted' && isBeyond)"
      label="Text"
      name="content"
      :help="help"
      ><UTextarea ref="source" v-model="text" :rows="6" autoresize :maxrows="24" name="content"
    /></UFormField>
    <PutInPicture v-if="as !== 'seen'" @picture="putIn" />
  </div>
</template>

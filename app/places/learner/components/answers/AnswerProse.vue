<script setup lang="ts">
import { computed } from 'vue'
import { wordsIn } from '#core/library'
import { sayLength } from '../../textLength'

/** Several sentences are written, with their words and paragraphs counted. */
const props = defineProps<{
  text: string
  leastWords: number
  mostWords: number
  leastParagraphs: number
  number: number
  spelling: boolean
}>()
const emit = defineEmits<{ text: [text: string] }>()
const length = computed(() => sayLength(props.text, props))
const rows = computed(() =>
  Math.min(16, Math.max(6, Math.ceil(props.leastWords / 9), wordsIn(props.text) / 9)),
)
</script>

<template>
  <div class="prose-answer">
    <textarea
      :value="text"
      :rows="rows"
      maxlength="20000"
      :aria-label="`Answer to question ${number}`"
      :aria-describedby="`words-${number}`"
      :spellcheck="spelling"
      @input="emit('text', ($event.target as HTMLTextAreaElement).value)"
    />
    <p :id="`words-${number}`" class="note">{{ length }}</p>
  </div>
</template>

<style scoped>
.prose-answer {
  margin-left: 1.9rem;
}
textarea {
  width: 100%;
  padding: 0.6rem 0.75rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  background: var(--stone-face);
  color: var(--ui-text);
  line-height: 1.5;
  resize: vertical;
}
.note {
  font-size: 0.85rem;
  color: var(--ui-text-muted);
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { wordsIn } from '#core/library'
import { sayLength } from '../../textLength'
import type { AnswerInputProps } from './input'

const ANY_LENGTH = { leastWords: 0, mostWords: 0, leastParagraphs: 0 }

/** Several sentences are written, with their words and paragraphs counted. */
const props = defineProps<AnswerInputProps<'prose'>>()
const emit = defineEmits<{ value: [text: string] }>()
const wanted = computed(() => ('leastWords' in props.item ? props.item : ANY_LENGTH))
const length = computed(() => sayLength(props.value, wanted.value))
const rows = computed(() =>
  Math.min(16, Math.max(6, Math.ceil(wanted.value.leastWords / 9), wordsIn(props.value) / 9)),
)
</script>

<template>
  <div class="prose-answer">
    <textarea
      :value="value"
      :rows="rows"
      maxlength="20000"
      :aria-label="`Answer to question ${number}`"
      :aria-describedby="`words-${number}`"
      :spellcheck="spelling"
      @input="emit('value', ($event.target as HTMLTextAreaElement).value)"
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
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
</style>

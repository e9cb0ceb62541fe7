<script setup lang="ts">
import { computed } from 'vue'
import { wordsIn } from '#core/library'
import { count } from '~/shared/words/numbers'

/** Several sentences are written, with their words counted. */
const props = defineProps<{ text: string; leastWords: number; number: number; spelling: boolean }>()
const emit = defineEmits<{ text: [text: string] }>()
const words = computed(() => wordsIn(props.text))
const isShort = computed(() => words.value > 0 && words.value < props.leastWords)
</script>

<template>
  <div class="prose-answer">
    <textarea
      :value="text"
      rows="6"
      maxlength="20000"
      :aria-label="`Answer to question ${number}`"
      :aria-describedby="`words-${number}`"
      :spellcheck="spelling"
      @input="emit('text', ($event.target as HTMLTextAreaElement).value)"
    />
    <p :id="`words-${number}`" class="note">
      {{ count(words, 'word') }}<template v-if="leastWords"> of at least {{ leastWords }}</template
      ><template v-if="isShort">, {{ leastWords - words }} to go</template>
    </p>
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

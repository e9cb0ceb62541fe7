<script setup lang="ts">
import { computed } from 'vue'
import { passageParts } from '#core/library'
import type { AnswerInputProps } from './input'

/** Words are written into a text where they are missing. */
const props = defineProps<AnswerInputProps<'words-in-blanks'>>()
const emit = defineEmits<{ value: [words: Readonly<Record<string, string>>] }>()
const parts = computed(() => passageParts('passage' in props.item ? props.item.passage : ''))
const count = computed(() => parts.value.filter((p) => 'blank' in p).length)
const nth = (at: number) => parts.value.slice(0, at + 1).filter((p) => 'blank' in p).length
function write(blank: string, event: Event): void {
  const text = (event.target as HTMLInputElement).value
  const { [blank]: _, ...others } = props.value
  emit('value', text === '' ? others : { ...others, [blank]: text })
}
</script>

<template>
  <p class="passage">
    <template v-for="(part, i) in parts" :key="i"
      ><input
        v-if="'blank' in part"
        type="text"
        :value="value[part.blank] ?? ''"
        :style="{ width: `${Math.max(7, (value[part.blank]?.length ?? 0) + 2)}ch` }"
        maxlength="200"
        :aria-label="`Blank ${nth(i)} of ${count} in ${number === null ? 'this sentence' : `question ${number}`}`"
        autocomplete="off"
        autocapitalize="off"
        :spellcheck="spelling"
        @input="write(part.blank, $event)"
      /><template v-else>{{ part.text }}</template></template
    >
  </p>
</template>

<style scoped>
.passage {
  margin-left: 1.9rem;
  line-height: 2.5;
  white-space: pre-wrap;
}
input {
  max-width: 100%;
  min-width: 7ch;
  padding: 0.2rem 0.5rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  background: var(--stone-face);
  color: var(--ui-text);
  line-height: 1.5;
}
</style>

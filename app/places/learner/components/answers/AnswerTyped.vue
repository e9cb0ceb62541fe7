<script setup lang="ts">
import { computed } from 'vue'
import { readingsOf, takes } from '#core/library'
import type { AnswerInputProps } from './input'

/** A number or a few words are typed. */
const props = defineProps<AnswerInputProps<'typed-number' | 'line'>>()
const emit = defineEmits<{ value: [text: string] }>()
const takesNumber = computed(() => takes(props.item.kind, 'typed-number'))
const unit = computed(() => ('unit' in props.item ? props.item.unit : ''))
/** Said while typing: what is no number cannot be right, whatever was meant. */
const isNoNumber = computed(
  () => takesNumber.value && props.value.trim() !== '' && readingsOf(props.value, unit.value).length === 0,
)
const noteId = computed(() => `no-number-${props.number}`)
</script>

<template>
  <div class="typed">
    <input
      type="text"
      :inputmode="takesNumber ? 'decimal' : 'text'"
      :value="value"
      :maxlength="takesNumber ? 60 : 500"
      :aria-label="`Answer to question ${number}`"
      :aria-describedby="isNoNumber ? noteId : undefined"
      autocomplete="off"
      autocapitalize="off"
      :spellcheck="spelling"
      @input="emit('value', ($event.target as HTMLInputElement).value)"
    />
    <span v-if="unit">{{ unit }}</span>
  </div>
  <p v-if="takesNumber" :id="noteId" class="note" role="status" data-hook="no-number">
    <template v-if="isNoNumber">This is not a number yet. Write it like 12.5, −3 or 1.6e-19.</template>
  </p>
</template>

<style scoped>
.typed {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  margin-left: 1.9rem;
}
.typed input {
  border: 1px solid var(--ui-border-accented);
  background: var(--stone-face);
  border-radius: 6px;
  padding: 0.5rem 0.75rem;
  font-size: 0.98rem;
  width: min(22rem, 100%);
  color: var(--ui-text);
}
.note {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  padding-left: 1.9rem;
}
</style>

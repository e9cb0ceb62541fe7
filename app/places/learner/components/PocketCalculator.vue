<script setup lang="ts">
import { shallowRef } from 'vue'
import { CLEARED, pressed } from '../calculator'

const emit = defineEmits<{ close: [] }>()
const state = shallowRef(CLEARED)
const KEYS = [
  'C',
  '⌫',
  '√',
  '÷',
  '7',
  '8',
  '9',
  '×',
  '4',
  '5',
  '6',
  '−',
  '1',
  '2',
  '3',
  '+',
  '±',
  '0',
  '.',
  '=',
]
const SPOKEN: Readonly<Record<string, string>> = {
  C: 'clear',
  '⌫': 'back',
  '√': 'square root',
  '÷': 'divided by',
  '×': 'times',
  '−': 'minus',
  '+': 'plus',
  '±': 'change sign',
  '.': 'point',
  '=': 'equals',
}
const TYPED: Readonly<Record<string, string>> = {
  '*': '×',
  '/': '÷',
  '-': '−',
  Enter: '=',
  Backspace: '⌫',
  ',': '.',
}
function press(key: string): void {
  state.value = pressed(state.value, key)
}
function type(event: KeyboardEvent): void {
  const key = TYPED[event.key] ?? event.key
  if (key === 'Escape') emit('close')
  if (!KEYS.includes(key) || (event.key === 'Enter' && event.target instanceof HTMLButtonElement)) return
  event.preventDefault()
  press(key)
}
</script>

<template>
  <section class="calculator" aria-label="Calculator" data-hook="calculator" @keydown="type">
    <output class="display" aria-live="polite">{{ state.shown }}</output>
    <button
      v-for="key in KEYS"
      :key="key"
      type="button"
      :class="{ number: /[0-9.]/.test(key), equals: key === '=' }"
      :aria-label="SPOKEN[key]"
      @click="press(key)"
    >
      {{ key }}
    </button>
  </section>
</template>

<style scoped>
.calculator {
  display: grid;
  grid-template-columns: repeat(4, 2.9rem);
  gap: 0.3rem;
  padding: 0.6rem;
  width: max-content;
  border: 1px solid var(--ui-border-accented);
  border-radius: 9px 7px 10px 8px;
  background: var(--ui-bg);
}
output {
  grid-column: 1 / -1;
  text-align: right;
  font: 650 1.3rem var(--font-mono);
  padding: 0.2rem 0.4rem;
  background: var(--stone-face);
  border-radius: 5px;
  min-height: 2.2rem;
}
button {
  height: 2.5rem;
  border-radius: 6px 7px 5px 7px;
  border: 1px solid var(--ui-border-accented);
  font-size: 0.98rem;
  cursor: pointer;
}
button:hover {
  border-color: var(--ui-primary);
}
button.number {
  background: var(--stone-face);
  font-weight: 650;
}
button.equals {
  background: var(--ui-primary);
  color: var(--ui-bg);
}
</style>

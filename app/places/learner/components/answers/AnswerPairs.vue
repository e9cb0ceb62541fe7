<script setup lang="ts">
import { computed } from 'vue'
import type { AnswerInputProps } from './input'

/** Each prompt gets a partner out of one list. */
const props = defineProps<AnswerInputProps<'pairs'>>()
const emit = defineEmits<{ value: [pairs: Readonly<Record<string, string>>] }>()
const prompts = computed(() => ('prompts' in props.item ? props.item.prompts : []))
const partners = computed(() => ('partners' in props.item ? props.item.partners : []))
function give(prompt: string, partner: string): void {
  const { [prompt]: _, ...others } = props.value
  emit('value', partner === '' ? others : { ...others, [prompt]: partner })
}
</script>

<template>
  <ul class="pairs">
    <li v-for="p in prompts" :key="p.id">
      <label>
        <span>{{ p.text }}</span>
        <select
          :value="value[p.id] ?? ''"
          :class="{ on: p.id in value }"
          @change="give(p.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">choose …</option>
          <option v-for="o in partners" :key="o.id" :value="o.id">{{ o.text }}</option>
        </select>
      </label>
    </li>
  </ul>
</template>

<style scoped>
.pairs {
  margin-left: 1.9rem;
  display: grid;
  gap: 0.35rem;
}
label {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.6rem;
  align-items: center;
}
select {
  padding: 0.5rem 0.6rem;
  width: 100%;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  background: var(--stone-face);
  color: var(--ui-text);
}
select.on {
  border-color: var(--ui-primary);
}
@media (max-width: 480px) {
  label {
    grid-template-columns: 1fr;
    gap: 0.15rem;
  }
}
</style>

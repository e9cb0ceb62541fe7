<script setup lang="ts">
import { computed } from 'vue'
import { optionsOf, takes } from '#core/library'
import type { AnswerInputProps } from './input'

/** One or several of some options are chosen. */
const props = defineProps<AnswerInputProps<'option-or-none' | 'option-set'>>()
const emit = defineEmits<{ value: [chosen: string | readonly string[]] }>()
const options = computed(() => optionsOf(props.item))
const takesOne = computed(() => takes(props.item.kind, 'option-or-none'))
const chosen = computed((): readonly string[] => {
  const { value } = props
  if (value === null) return []
  return typeof value === 'string' ? [value] : value
})
function tick(id: string): void {
  const isOn = chosen.value.includes(id)
  emit('value', isOn ? chosen.value.filter((c) => c !== id) : [...chosen.value, id])
}
</script>

<template>
  <label v-for="o in options" :key="o.id" class="option" :class="{ on: chosen.includes(o.id) }">
    <input
      v-if="takesOne"
      type="radio"
      :name="item.id"
      :value="o.id"
      :checked="chosen.includes(o.id)"
      @change="emit('value', o.id)"
    />
    <input v-else type="checkbox" :checked="chosen.includes(o.id)" @change="tick(o.id)" />
    <span>{{ o.text }}</span>
  </label>
</template>

<style scoped>
.option {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  padding: 0.55rem 0.75rem;
  margin-left: 1.9rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 7px 8px 6px 8px;
  cursor: pointer;
}
fieldset:disabled .option {
  cursor: default;
}
fieldset:not(:disabled) .option:hover {
  border-color: var(--ui-primary);
}
.option.on {
  border-color: var(--ui-primary);
  background: color-mix(in oklab, var(--ui-primary) 9%, transparent);
}
.option:has(:focus-visible) {
  outline: 2px solid var(--ui-primary);
  outline-offset: 1px;
}
.option input {
  accent-color: var(--ui-primary);
  width: 1.15rem;
  height: 1.15rem;
  flex: none;
  outline: none;
}
</style>

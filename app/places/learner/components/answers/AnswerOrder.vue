<script setup lang="ts">
import { computed, nextTick, useTemplateRef } from 'vue'
import { optionsOf } from '#core/library'
import type { AnswerInputProps } from './input'

/** Steps are moved up and down until they stand in order; until one was moved, nothing is answered. */
const props = defineProps<AnswerInputProps<'option-order'>>()
const emit = defineEmits<{ value: [ids: readonly string[]] }>()
const list = useTemplateRef<HTMLElement>('list')
const steps = computed(() => {
  const options = optionsOf(props.item)
  const placed = props.value.flatMap((id) => options.find((o) => o.id === id) ?? [])
  return [...placed, ...options.filter((o) => !props.value.includes(o.id))]
})

/** Moves a step by one place, with the focus on it. */
async function move(at: number, by: 1 | -1): Promise<void> {
  const ids = steps.value.map((s) => s.id)
  const to = at + by
  const [id] = ids.splice(at, 1)
  if (props.isFinal || id === undefined || to < 0 || to > ids.length) return
  ids.splice(to, 0, id)
  emit('value', ids)
  await nextTick()
  const row = list.value?.children[to]
  const same = row?.querySelector<HTMLButtonElement>(by === -1 ? '.up:enabled' : '.down:enabled')
  const other = row?.querySelector<HTMLButtonElement>('button:enabled')
  const button = same ?? other
  button?.focus()
}
</script>

<template>
  <ol ref="list" class="steps">
    <li
      v-for="(s, i) in steps"
      :key="s.id"
      @keydown.up.prevent="move(i, -1)"
      @keydown.down.prevent="move(i, 1)"
    >
      <span class="place">{{ i + 1 }}.</span><span class="text">{{ s.text }}</span
      ><button
        type="button"
        class="up"
        :disabled="isFinal || i === 0"
        :aria-label="`Move up: ${s.text}`"
        @click="move(i, -1)"
      >
        <UIcon name="i-lucide-arrow-up" class="size-4" aria-hidden="true" /></button
      ><button
        type="button"
        class="down"
        :disabled="isFinal || i === steps.length - 1"
        :aria-label="`Move down: ${s.text}`"
        @click="move(i, 1)"
      >
        <UIcon name="i-lucide-arrow-down" class="size-4" aria-hidden="true" />
      </button>
    </li>
  </ol>
  <p class="note" role="status">
    {{ value.length === 0 ? 'Not answered yet: move the steps with the arrows.' : 'This is your order.' }}
  </p>
</template>

<style scoped>
.steps {
  margin-left: 1.9rem;
  display: grid;
  gap: 0.35rem;
}
li {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.3rem 0.3rem 0.3rem 0.75rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 7px 8px 6px 8px;
  background: var(--stone-face);
}
.place {
  color: var(--ui-text-muted);
  font-variant-numeric: tabular-nums;
}
.text {
  flex: 1;
}
button {
  display: grid;
  place-items: center;
  width: 2.5rem;
  height: 2.5rem;
  flex: none;
  border: 1px solid var(--ui-border-accented);
  border-radius: 6px;
  cursor: pointer;
}
button:disabled {
  opacity: 0.35;
  cursor: default;
}
.note {
  margin-left: 1.9rem;
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
</style>

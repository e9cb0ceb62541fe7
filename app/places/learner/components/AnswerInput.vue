<script setup lang="ts">
import { computed } from 'vue'
import type { Answer, LearnerItem } from '#core/attempts'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'

const props = defineProps<{ item: LearnerItem; number: number; answer: Answer | undefined }>()
const emit = defineEmits<{ answer: [answer: Answer] }>()
const choice = computed(() => (props.answer?.kind === 'single' ? props.answer.choice : null))
const choices = computed(() => (props.answer?.kind === 'multiple' ? props.answer.choices : []))
const text = computed(() =>
  props.answer?.kind === 'numeric' || props.answer?.kind === 'text' ? props.answer.text : '',
)

function tick(id: string): void {
  const next = choices.value.includes(id) ? choices.value.filter((c) => c !== id) : [...choices.value, id]
  emit('answer', { kind: 'multiple', choices: next })
}
function type(event: Event): void {
  const value = (event.target as HTMLInputElement).value
  emit(
    'answer',
    props.item.kind === 'numeric' ? { kind: 'numeric', text: value } : { kind: 'text', text: value },
  )
}
</script>

<template>
  <fieldset class="item" :data-hook="`question-${number}`" :data-item="item.id" :data-kind="item.kind">
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <legend>
      <span class="number">{{ number }}</span><span v-html="toInlineHtml(item.stem)" />
    </legend>
    <p class="hint">
      {{
        item.kind === 'multiple'
          ? 'Tick all that are right'
          : item.kind === 'numeric'
            ? 'A number'
            : item.kind === 'text'
              ? 'A word or two'
              : 'One is right'
      }}
      · {{ count(item.points, 'point') }}
    </p>
    <template v-if="item.kind === 'single' || item.kind === 'multiple'">
      <label
        v-for="o in item.options"
        :key="o.id"
        class="option"
        :class="{ on: item.kind === 'single' ? choice === o.id : choices.includes(o.id) }"
      >
        <input
          v-if="item.kind === 'single'"
          type="radio"
          :name="item.id"
          :value="o.id"
          :checked="choice === o.id"
          @change="emit('answer', { kind: 'single', choice: o.id })"
        />
        <input v-else type="checkbox" :checked="choices.includes(o.id)" @change="tick(o.id)" />
        <span>{{ o.text }}</span>
      </label>
    </template>
    <div v-else class="typed">
      <input
        type="text"
        :inputmode="item.kind === 'numeric' ? 'decimal' : 'text'"
        :value="text"
        :maxlength="item.kind === 'numeric' ? 60 : 500"
        :aria-label="`Answer to question ${number}`"
        autocomplete="off"
        autocapitalize="off"
        @input="type"
      />
      <span v-if="item.kind === 'numeric' && item.unit">{{ item.unit }}</span>
    </div>
  </fieldset>
</template>

<style scoped>
.item {
  padding: 1.2rem 0;
  border-bottom: 1px solid var(--ui-border);
  display: grid;
  gap: 0.4rem;
}
legend {
  display: flex;
  gap: 0.7rem;
  font-size: 1.08rem;
  font-weight: 600;
  line-height: 1.4;
  float: left;
  width: 100%;
}
.number {
  color: var(--ui-text-muted);
  font-variant-numeric: tabular-nums;
  min-width: 1.2rem;
}
.hint {
  font-size: 0.85rem;
  color: var(--ui-text-muted);
  padding-left: 1.9rem;
}
.option {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  padding: 0.55rem 0.75rem;
  margin-left: 1.9rem;
  border: 1px solid var(--ui-border);
  border-radius: 7px 8px 6px 8px;
  cursor: pointer;
}
.option:hover {
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
  font-size: 1.05rem;
  width: min(22rem, 100%);
  color: var(--ui-text);
}
</style>

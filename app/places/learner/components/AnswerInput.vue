<script setup lang="ts">
import { computed } from 'vue'
import { KINDS, chosenIn, fieldHolding, optionsOf, readingsOf, takes } from '#core/library'
import type { Answer, FieldType, Fields, LearnerItem } from '#core/library'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'

const props = defineProps<{
  item: LearnerItem
  number: number
  answer: Answer | undefined
  /** Answered for good: it can no longer be changed. */
  isFinal: boolean
  /** Whether the browser marks words it does not know. */
  spelling: boolean
}>()
const emit = defineEmits<{ answer: [answer: Answer] }>()
const fields = computed<Fields>(() => KINDS[props.item.kind].answer)
const options = computed(() => optionsOf(props.item))
const chosen = computed(() => chosenIn(props.answer))
const takesOne = computed(() => takes(props.item.kind, 'option-or-none'))
const takesNumber = computed(() => takes(props.item.kind, 'typed-number'))
const unit = computed(() => ('unit' in props.item ? props.item.unit : ''))
const typed = computed(() => {
  const name = fieldHolding(fields.value, takesNumber.value ? 'typed-number' : 'line')
  const values = props.answer as Readonly<Record<string, unknown>> | undefined
  return name === null ? '' : String(values?.[name] ?? '')
})

/** Said while typing: what is no number cannot be right, whatever was meant. */
const isNoNumber = computed(
  () => takesNumber.value && typed.value.trim() !== '' && readingsOf(typed.value, unit.value).length === 0,
)
const noteId = computed(() => `no-number-${props.number}`)

/** An answer of the item's kind whose field of this type holds the value. */
function give(type: FieldType, value: string | readonly string[]): void {
  const name = fieldHolding(fields.value, type)
  if (name !== null) emit('answer', { kind: props.item.kind, [name]: value } as unknown as Answer)
}
function tick(id: string): void {
  const next = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id]
  give('option-set', next)
}
function type(event: Event): void {
  give(takesNumber.value ? 'typed-number' : 'line', (event.target as HTMLInputElement).value)
}
</script>

<template>
  <fieldset
    class="item"
    :disabled="isFinal"
    :data-hook="`question-${number}`"
    :data-item="item.id"
    :data-kind="item.kind"
  >
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <legend>
      <span class="number">{{ number }}</span><span v-html="toInlineHtml(item.stem)" />
    </legend>
    <p class="hint">{{ ITEM_KIND_WORDS[item.kind].ask }} · {{ count(item.points, 'point') }}</p>
    <template v-if="options.length">
      <label v-for="o in options" :key="o.id" class="option" :class="{ on: chosen.includes(o.id) }">
        <input
          v-if="takesOne"
          type="radio"
          :name="item.id"
          :value="o.id"
          :checked="chosen.includes(o.id)"
          @change="give('option-or-none', o.id)"
        />
        <input v-else type="checkbox" :checked="chosen.includes(o.id)" @change="tick(o.id)" />
        <span>{{ o.text }}</span>
      </label>
    </template>
    <div v-else class="typed">
      <input
        type="text"
        :inputmode="takesNumber ? 'decimal' : 'text'"
        :value="typed"
        :maxlength="takesNumber ? 60 : 500"
        :aria-label="`Answer to question ${number}`"
        :aria-describedby="isNoNumber ? noteId : undefined"
        autocomplete="off"
        autocapitalize="off"
        :spellcheck="spelling"
        @input="type"
      />
      <span v-if="unit">{{ unit }}</span>
    </div>
    <p v-if="takesNumber" :id="noteId" class="hint" role="status" data-hook="no-number">
      <template v-if="isNoNumber">This is not a number yet. Write it like 12.5, −3 or 1.6e-19.</template>
    </p>
  </fieldset>
</template>

<style scoped>
.item {
  padding: 1.2rem 0 0;
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
.item:disabled .option {
  cursor: default;
}
.item:not(:disabled) .option:hover {
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

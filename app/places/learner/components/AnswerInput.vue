<script setup lang="ts">
import { computed } from 'vue'
import type { Component } from 'vue'
import { answerFieldOf, leftOut } from '#core/library'
import type { Answer, AnswerType, LearnerItem } from '#core/library'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'
import AnswerBlanks from './answers/AnswerBlanks.vue'
import AnswerOptions from './answers/AnswerOptions.vue'
import AnswerOrder from './answers/AnswerOrder.vue'
import AnswerPairs from './answers/AnswerPairs.vue'
import AnswerProse from './answers/AnswerProse.vue'
import AnswerTyped from './answers/AnswerTyped.vue'

/** The input of what an answer holds, whatever kind of item asks for it; one that is missing does not compile. */
const INPUTS: Record<AnswerType, Component> = {
  'option-or-none': AnswerOptions,
  'option-set': AnswerOptions,
  'option-order': AnswerOrder,
  pairs: AnswerPairs,
  'words-in-blanks': AnswerBlanks,
  prose: AnswerProse,
  'typed-number': AnswerTyped,
  line: AnswerTyped,
}

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
/** What was answered; an answer of another kind, from a form before, counts as none. */
const given = computed(() =>
  props.answer?.kind === props.item.kind ? props.answer : leftOut({ kind: props.item.kind }),
)
const field = computed(() => answerFieldOf(props.item.kind))
const value = computed(() => (given.value as unknown as Readonly<Record<string, unknown>>)[field.value.name])
function give(next: unknown): void {
  emit('answer', { kind: props.item.kind, [field.value.name]: next } as Answer)
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
    <component
      :is="INPUTS[field.type]"
      :item="item"
      :value="value"
      :number="number"
      :is-final="isFinal"
      :spelling="spelling"
      @value="give"
    />
  </fieldset>
</template>

<style scoped>
.item {
  padding: 1.2rem 0 0;
  display: grid;
  gap: 0.4rem;
  min-width: 0;
}
legend {
  display: flex;
  gap: 0.7rem;
  font-size: 1.01rem;
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
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  padding-left: 1.9rem;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { chosenIn, leftOut, takes } from '#core/library'
import type { Answer, LearnerItem } from '#core/library'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'
import AnswerBlanks from './answers/AnswerBlanks.vue'
import AnswerOptions from './answers/AnswerOptions.vue'
import AnswerOrder from './answers/AnswerOrder.vue'
import AnswerPairs from './answers/AnswerPairs.vue'
import AnswerProse from './answers/AnswerProse.vue'
import AnswerTyped from './answers/AnswerTyped.vue'

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
    <AnswerOptions
      v-if="item.kind === 'single' || item.kind === 'multiple'"
      :name="item.id"
      :options="item.options"
      :chosen="chosenIn(given)"
      :takes-one="takes(item.kind, 'option-or-none')"
      @one="emit('answer', { kind: 'single', choice: $event })"
      @several="emit('answer', { kind: 'multiple', choices: $event })"
    />
    <AnswerOrder
      v-else-if="item.kind === 'ordering' && given.kind === 'ordering'"
      :options="item.options"
      :order="given.order"
      :is-final="isFinal"
      @order="emit('answer', { kind: 'ordering', order: $event })"
    />
    <AnswerPairs
      v-else-if="item.kind === 'matching' && given.kind === 'matching'"
      :prompts="item.prompts"
      :partners="item.partners"
      :pairs="given.pairs"
      @pairs="emit('answer', { kind: 'matching', pairs: $event })"
    />
    <AnswerBlanks
      v-else-if="item.kind === 'blanks' && given.kind === 'blanks'"
      :passage="item.passage"
      :words="given.words"
      :number="number"
      :spelling="spelling"
      @words="emit('answer', { kind: 'blanks', words: $event })"
    />
    <AnswerProse
      v-else-if="item.kind === 'extended' && given.kind === 'extended'"
      :text="given.text"
      :least-words="item.leastWords"
      :most-words="item.mostWords"
      :least-paragraphs="item.leastParagraphs"
      :number="number"
      :spelling="spelling"
      @text="emit('answer', { kind: 'extended', text: $event })"
    />
    <AnswerTyped
      v-else-if="
        (item.kind === 'numeric' || item.kind === 'text') &&
        (given.kind === 'numeric' || given.kind === 'text')
      "
      :typed="given.text"
      :takes-number="item.kind === 'numeric'"
      :unit="item.kind === 'numeric' ? item.unit : ''"
      :number="number"
      :spelling="spelling"
      @typed="emit('answer', { kind: given.kind as 'numeric' | 'text', text: $event })"
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
</style>

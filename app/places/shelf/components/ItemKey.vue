<script setup lang="ts">
import { computed } from 'vue'
import {
  halfRightInWords,
  isChosenAmong,
  isScoredByHand,
  optionsOf,
  rightInWords,
  rightOptions,
  takes,
} from '#core/library'
import type { Item } from '#core/library'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'

const props = defineProps<{ item: Item; number: number }>()
const rights = computed(() => rightOptions(props.item))
/** Options that are chosen among; an order is said in words. */
const options = computed(() => (isChosenAmong(props.item) ? optionsOf(props.item) : []))
const takesOne = computed(() => takes(props.item.kind, 'option-or-none'))
const half = computed(() => halfRightInWords(props.item))
const key = computed(() => {
  const { item } = props
  const right = rightInWords(item)
  if (isScoredByHand(item)) return right === '' ? 'Scored by hand' : `Scored by hand: ${right}`
  return 'passage' in item ? `${item.passage} ${right}` : right
})
</script>

<template>
  <article class="item">
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <h3>
      <span class="number">{{ number }}</span><span v-html="toInlineHtml(item.stem)" />
    </h3>
    <ul v-if="options.length" class="options">
      <li v-for="o in options" :key="o.id" :class="{ right: rights.includes(o.id) }">
        <UIcon
          :name="rights.includes(o.id) ? 'i-lucide-check' : takesOne ? 'i-lucide-circle' : 'i-lucide-square'"
          class="size-4 mt-1"
          aria-hidden="true"
        /><span>{{ o.text }}<span v-if="rights.includes(o.id)" class="sr-only"> (right)</span></span>
      </li>
    </ul>
    <p v-else class="answer">{{ key }}</p>
    <p v-if="half" class="said">Half of the points: {{ half }}</p>
    <p class="said">
      {{ count(item.points, 'point') }} · difficulty {{ item.difficulty }} of 5<template v-if="item.standard">
        · <span class="code">{{ item.standard }}</span></template
      >
    </p>
    <p v-if="item.feedback" class="said">Feedback: {{ item.feedback }}</p>
    <p v-if="item.hint" class="said">Hint: {{ item.hint }}</p>
    <slot />
  </article>
</template>

<style scoped>
.item {
  padding: 0.8rem 0;
  border-bottom: 1px solid var(--ui-border);
  max-width: 44rem;
}
h3 {
  display: flex;
  gap: 0.7rem;
  font-family: var(--font-sans);
  font-weight: 600;
  line-height: 1.4;
}
.number {
  color: var(--ui-text-muted);
  font-variant-numeric: tabular-nums;
}
.options {
  margin: 0.4rem 0 0.3rem 1.5rem;
  display: grid;
  gap: 0.15rem;
}
.options li {
  display: flex;
  gap: 0.5rem;
  align-items: flex-start;
}
.options .right {
  font-weight: 650;
  color: var(--ui-success);
}
.answer {
  margin: 0.3rem 0 0.3rem 1.5rem;
  font-weight: 650;
  color: var(--ui-success);
}
.blank {
  margin: 0.4rem 0 0 1.5rem;
  padding: 0.3rem 0.6rem;
  border: 1px dashed var(--ui-border-accented);
  color: var(--ui-text-muted);
  max-width: 16rem;
}
.said {
  margin-left: 1.5rem;
}
</style>

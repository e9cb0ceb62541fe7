<script setup lang="ts">
import { computed } from 'vue'
import type { Correction } from '#core/attempts'
import { bandOf } from '#core/evidence'
import type { ItemFigures } from '#core/evidence'
import { isChosenAmong, isScoredByHand, optionsOf, rightInWords, rightOptions } from '#core/library'
import type { Item } from '#core/library'
import { toInlineHtml } from '~/shared/words/markdown'
import { percent } from '~/shared/words/numbers'
import { MENDED_WORDS, sayFigures } from '../itemWords'

/** One question: how it went, what was answered, and what was put right about it. */
const props = defineProps<{
  item: Item
  number: number
  /** Null: it was left out for everybody. */
  figures: ItemFigures | null
  correction: Correction | null
  mayMend: boolean
}>()
const emit = defineEmits<{ mend: [] }>()
/** From here on those who are better elsewhere are worse in it: more than chance would do. */
const TURNED = -0.2
/** Options whose choices are counted; an order chooses none. */
const options = computed(() => (isChosenAmong(props.item) ? optionsOf(props.item) : []))
const rights = computed(() => rightOptions(props.item))
const n = computed(() => props.figures?.n ?? 0)
const isLow = computed(() => n.value > 0 && bandOf(props.figures?.rightRatio ?? 1) === 'low')
const isTurned = computed(() => (props.figures?.discrimination ?? 0) <= TURNED)
const said = computed(() => (props.figures ? sayFigures(props.figures, props.item) : ''))
const width = (count: number) => `${n.value === 0 ? 0 : Math.round((100 * count) / n.value)}%`
</script>

<template>
  <li :data-hook="`figure-${number}`">
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <p class="stem">
      <span class="share" :class="{ low: isLow }">{{
        figures && n > 0 ? percent(figures.rightRatio) : '–'
      }}</span><span
        ><span class="said">{{ number }}</span> <span v-html="toInlineHtml(item.stem)"
      /></span>
    </p>
    <ul v-if="figures && options.length" class="options">
      <li v-for="o in options" :key="o.id" :class="{ right: rights.includes(o.id) }">
        <span class="bar" aria-hidden="true"><i :style="{ width: width(figures.options[o.id] ?? 0) }" /></span
        ><span class="n">{{ figures.options[o.id] ?? 0 }}</span
        ><span>{{ o.text }}<template v-if="rights.includes(o.id)"> (right)</template></span>
      </li>
    </ul>
    <p v-else-if="rightInWords(item)" class="said ml-13">
      {{ isScoredByHand(item) ? 'Points for' : 'Right' }}: {{ rightInWords(item) }}
    </p>
    <ul v-if="figures?.commonest.length" class="options" data-hook="commonest">
      <li v-for="c in figures.commonest" :key="c.text" :class="{ right: c.isRight }">
        <span class="bar" aria-hidden="true"><i :style="{ width: width(c.count) }" /></span
        ><span class="n">{{ c.count }}</span
        ><span>{{ c.text }}<template v-if="c.isRight"> (right)</template></span>
      </li>
    </ul>
    <p v-if="said" class="said ml-13">{{ said }}</p>
    <p v-if="correction" class="note-line ml-13 mt-1" data-hook="mended">
      {{ MENDED_WORDS[correction.kind] }}
    </p>
    <p v-if="isTurned" class="note-line care ml-13 mt-1">
      Who did better in the rest missed it more often: look at its key and its words.
    </p>
    <UButton
      v-if="mayMend && !isScoredByHand(item)"
      class="ml-13 mt-1 px-0"
      size="xs"
      variant="link"
      :aria-label="`Put right: question ${number}`"
      @click="emit('mend')"
      >Put right</UButton
    >
  </li>
</template>

<style scoped>
li[data-hook^='figure-'] {
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--ui-border);
}
.stem {
  display: grid;
  grid-template-columns: 3.2rem 1fr;
  font-weight: 600;
  line-height: 1.35;
}
.share {
  font: 650 1.02rem var(--font-display);
  font-variant-numeric: tabular-nums;
}
.share.low {
  color: var(--ui-warning);
}
.options {
  margin: 0.35rem 0 0.2rem 3.2rem;
  font-size: 0.84rem;
  display: grid;
  gap: 0.15rem;
}
.options li {
  display: grid;
  grid-template-columns: 3.4rem 1.5rem 1fr;
  gap: 0.4rem;
  align-items: center;
}
.options .right {
  font-weight: 650;
}
.bar {
  height: 0.5rem;
  background: var(--ui-bg-accented);
  border-radius: 2px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--color-grit-400);
  border-radius: 2px;
}
.right .bar i {
  background: var(--color-moss-500);
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
</style>

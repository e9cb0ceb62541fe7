<script setup lang="ts">
import { computed } from 'vue'
import { isChosenAmong, optionsOf, rightInWords, rightOptions } from '#core/library'
import { STEPS } from '../discussion'
import type { Step, Talk } from '../discussion'
import { toHtml, toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'

/** An item as large as a room needs it: no names at any time, and no colour before what is right is shown. */
const props = defineProps<{ talk: Talk; step: Step }>()
const shows = (step: Step) => STEPS.indexOf(props.step) >= STEPS.indexOf(step)
const options = computed(() => optionsOf(props.talk.item))
const isCounted = computed(() => isChosenAmong(props.talk.item))
const rights = computed(() => rightOptions(props.talk.item))
const passage = computed(() =>
  'passage' in props.talk.item ? props.talk.item.passage.replace(/\[\d{1,2}\]/g, '______') : '',
)
const isRight = (id: string) => shows('answer') && isCounted.value && rights.value.includes(id)
const share = (n: number) => `${Math.round((100 * n) / Math.max(1, props.talk.figures.n))}%`
/** How many gave none of what is told of. */
const others = computed(() => {
  const { n, omittedCount, commonest } = props.talk.figures
  return n - omittedCount - commonest.reduce((sum, c) => sum + c.count, 0)
})
</script>

<template>
  <section class="talk" aria-live="polite" data-hook="talk">
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <h2 v-html="toInlineHtml(talk.item.stem)" />
    <p v-if="passage" class="passage" v-html="toInlineHtml(passage)" />
    <ul v-if="options.length" class="options">
      <li v-for="o in options" :key="o.id" :class="{ right: isRight(o.id) }">
        <span><span v-html="toInlineHtml(o.text)" /><b v-if="isRight(o.id)" class="tick"> right</b></span>
        <template v-if="shows('spread') && isCounted">
          <span class="bar" aria-hidden="true"
            ><i :style="{ width: share(talk.figures.options[o.id] ?? 0) }" /></span
          ><span class="n" data-hook="chosen">{{ talk.figures.options[o.id] ?? 0 }}</span>
        </template>
      </li>
    </ul>
    <ul
      v-if="shows('spread') && !isCounted && talk.figures.commonest.length"
      class="options"
      data-hook="given"
    >
      <li v-for="c in talk.figures.commonest" :key="c.text" :class="{ right: shows('answer') && c.isRight }">
        <span>{{ c.text }}<b v-if="shows('answer') && c.isRight" class="tick"> right</b></span>
        <span class="bar" aria-hidden="true"><i :style="{ width: share(c.count) }" /></span
        ><span class="n">{{ c.count }}</span>
      </li>
    </ul>
    <p v-if="shows('spread')" class="sum" data-hook="spread">
      {{
        talk.figures.n === 0
          ? 'Nobody has handed in yet.'
          : count(talk.figures.n - talk.figures.omittedCount, 'answer')
      }}
      <template v-if="talk.figures.omittedCount">· {{ talk.figures.omittedCount }} left it out</template>
      <template v-if="!isCounted && others > 0">· {{ others }} gave something else</template>
    </p>
    <p v-if="shows('answer') && !(isCounted && options.length)" class="answer" data-hook="answer">
      <b>Right:</b> {{ rightInWords(talk.item) }}
    </p>
    <div
      v-if="shows('feedback')"
      class="prose feedback"
      data-hook="feedback"
      v-html="toHtml(talk.item.feedback)"
    />
  </section>
</template>

<style scoped>
.talk {
  display: grid;
  gap: 1.6rem;
  align-content: center;
  width: min(74rem, 100%);
  margin: 0 auto;
  padding: 1.5rem clamp(1rem, 4vw, 3rem);
  font-size: clamp(1.15rem, 2.2vw, 1.9rem);
  line-height: 1.35;
}
h2 {
  font-size: clamp(1.4rem, 3vw, 2.6rem);
  line-height: 1.25;
}
.passage {
  white-space: pre-line;
}
.options {
  display: grid;
  gap: 0.6rem;
}
.options li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(4rem, 18rem) 2.5rem;
  gap: 1rem;
  align-items: center;
  padding: 0.5rem 0.9rem;
  border: 2px solid var(--ui-border-accented);
  border-radius: 9px 7px 10px 8px;
}
.options li.right {
  border-color: var(--color-moss-600);
  background: var(--share-high);
}
.bar {
  height: 1rem;
  background: var(--ui-bg-accented);
  border-radius: 3px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--color-grit-400);
  border-radius: 3px;
}
.n {
  text-align: right;
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.sum {
  font-size: 0.7em;
  color: var(--ui-text-muted);
}
.feedback {
  border-left: 4px solid var(--color-moss-600);
  padding-left: 1rem;
  font-size: inherit;
  max-width: none;
}
@media (max-width: 640px) {
  .options li {
    grid-template-columns: minmax(0, 1fr) 2.5rem;
  }
  .bar {
    display: none;
  }
}
</style>

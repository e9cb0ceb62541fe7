<script setup lang="ts">
import { computed } from 'vue'
import { starterShown } from '#core/versions'
import type { Support } from '#core/versions'
import { sayLanguage } from '~/shared/words/languages'
import { toHtml } from '~/shared/words/markdown'

/** What stands beside a piece to work with: it helps, and is not asked. */
const props = withDefaults(
  defineProps<{
    support: Support
    /** Words stand beside what is written, the rest before it. */
    part?: 'all' | 'words' | 'rest'
  }>(),
  { part: 'all' },
)
const hasWords = computed(() => {
  const { wordBank, starters } = props.support
  return props.part !== 'rest' && wordBank.length + starters.length > 0
})
const hasRest = computed(() => {
  const { steps, glossary, example, translation } = props.support
  const isThere = steps.length + glossary.length > 0 || example !== '' || translation !== null
  return props.part !== 'words' && isThere
})
const hasTranslations = computed(() => props.support.glossary.some((g) => g.translation !== ''))
</script>

<template>
  <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
  <div
    v-if="hasWords || hasRest"
    class="support"
    :aria-label="part === 'words' ? 'Words to write with' : 'To help you'"
    role="group"
    data-hook="support"
  >
    <section v-if="hasRest && support.translation" :lang="support.translation.language" class="wide">
      <h2>{{ sayLanguage(support.translation.language) }}</h2>
      <div class="prose" v-html="toHtml(support.translation.instructions)" />
    </section>
    <section v-if="hasRest && support.steps.length">
      <h2>Step by step</h2>
      <ol>
        <li v-for="(step, i) in support.steps" :key="i">{{ step }}</li>
      </ol>
    </section>
    <section v-if="hasWords && support.wordBank.length">
      <h2>Words you can use</h2>
      <ul class="bank">
        <li v-for="word in support.wordBank" :key="word">{{ word }}</li>
      </ul>
    </section>
    <section v-if="hasWords && support.starters.length">
      <h2>Ways to begin a sentence</h2>
      <ul class="starters">
        <li v-for="starter in support.starters" :key="starter">{{ starterShown(starter) }}</li>
      </ul>
    </section>
    <section v-if="hasRest && support.glossary.length" class="wide">
      <h2>What words mean</h2>
      <dl class="glossary" :class="{ translated: hasTranslations }">
        <div v-for="g in support.glossary" :key="g.word">
          <dt>{{ g.word }}</dt>
          <dd v-if="hasTranslations" :lang="support.translation?.language">{{ g.translation }}</dd>
          <dd>{{ g.meaning }}</dd>
        </div>
      </dl>
    </section>
    <details v-if="hasRest && support.example" class="wide">
      <summary>A worked example</summary>
      <div class="prose" v-html="toHtml(support.example)" />
    </details>
  </div>
</template>

<style scoped>
.support {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
  gap: 0.9rem 1.6rem;
  margin: 1rem 0;
  padding: 0.9rem 1.1rem;
  background: var(--ui-bg-muted);
  border: 1px solid var(--ui-border);
  border-radius: 0.5rem 0.4rem 0.55rem 0.4rem;
}
.wide {
  grid-column: 1 / -1;
}
h2 {
  font-size: 0.89rem;
  margin-bottom: 0.3rem;
}
ol {
  list-style: decimal;
  padding-left: 1.3rem;
  display: grid;
  gap: 0.25rem;
}
.bank {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
}
.bank li {
  padding: 0.1rem 0.6rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 0.4rem;
  background: var(--stone-face);
}
.starters {
  display: grid;
  gap: 0.2rem;
}
.glossary > div {
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: 0.8rem;
  padding: 0.25rem 0;
  border-bottom: 1px solid var(--ui-border);
}
.glossary.translated > div {
  grid-template-columns: 8rem 8rem 1fr;
}
.glossary dt {
  font-weight: 650;
}
@media (max-width: 480px) {
  .glossary > div,
  .glossary.translated > div {
    grid-template-columns: 1fr;
    gap: 0;
  }
}
summary {
  cursor: pointer;
}
</style>

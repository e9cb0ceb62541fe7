<script setup lang="ts">
import { computed } from 'vue'
import type { Support } from '#core/versions'
import { sayLanguage } from '~/shared/words/languages'
import { toHtml } from '~/shared/words/markdown'

/** What stands beside a piece to work with: it helps, and is not asked. */
const props = defineProps<{ support: Support }>()
const hasTranslations = computed(() => props.support.glossary.some((g) => g.translation !== ''))
</script>

<template>
  <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
  <aside class="support" aria-label="To help you" data-hook="support">
    <section v-if="support.translation" :lang="support.translation.language" class="wide">
      <h3>{{ sayLanguage(support.translation.language) }}</h3>
      <div class="prose" v-html="toHtml(support.translation.instructions)" />
    </section>
    <section v-if="support.steps.length">
      <h3>Step by step</h3>
      <ol>
        <li v-for="(step, i) in support.steps" :key="i">{{ step }}</li>
      </ol>
    </section>
    <section v-if="support.wordBank.length">
      <h3>Words you can use</h3>
      <ul class="bank">
        <li v-for="word in support.wordBank" :key="word">{{ word }}</li>
      </ul>
    </section>
    <section v-if="support.starters.length">
      <h3>Ways to begin a sentence</h3>
      <ul class="starters">
        <li v-for="starter in support.starters" :key="starter">{{ starter }} …</li>
      </ul>
    </section>
    <section v-if="support.glossary.length" class="wide">
      <h3>What words mean</h3>
      <dl class="glossary" :class="{ translated: hasTranslations }">
        <div v-for="g in support.glossary" :key="g.word">
          <dt>{{ g.word }}</dt>
          <dd v-if="hasTranslations" :lang="support.translation?.language">{{ g.translation }}</dd>
          <dd>{{ g.meaning }}</dd>
        </div>
      </dl>
    </section>
    <details v-if="support.example" class="wide">
      <summary>A worked example</summary>
      <div class="prose" v-html="toHtml(support.example)" />
    </details>
  </aside>
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
h3 {
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

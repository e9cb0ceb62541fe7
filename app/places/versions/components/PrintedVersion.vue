<script setup lang="ts">
import { computed } from 'vue'
import { cardOfKind, linesOnPaper, optionsOf, passageParts } from '#core/library'
import type { Resource } from '#core/library'
import { composeVersion, isSupportItem } from '#core/versions'
import type { Layer } from '#core/versions'
import { SupportPanel } from '~/places/learner'
import { toInlineHtml } from '~/shared/words/markdown'
import { toMarkedHtml } from '~/shared/words/markedText'
import PrintedOrganiser from './PrintedOrganiser.vue'
import PrintedWords from './PrintedWords.vue'

/** A version on paper, to be written on. Nothing on it says which one it is. */
const props = defineProps<{ core: Resource; layer: Layer; name: string }>()
const made = computed(() => composeVersion(props.core, props.layer))
const support = computed(() => made.value.support)
const html = computed(() => toMarkedHtml(props.core.content, support.value))
const questions = computed(() => made.value.resource.items.filter((i) => !isSupportItem(i)))
const blanked = (text: string) =>
  passageParts(text)
    .map((p) => ('blank' in p ? '______________' : p.text))
    .join('')
</script>

<template>
  <article class="sheet" :class="{ 'larger-type': support.largerType }" data-hook="printed-version">
    <header>
      <h2>{{ core.title }}</h2>
      <p class="name">
        Name: <span v-if="name">{{ name }}</span><span v-else class="rule" />
      </p>
    </header>
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <div v-if="core.content" class="prose" v-html="html" />
    <PrintedWords v-if="cardOfKind(core.kind).words === 'learnt'" :words="core.material.words" />
    <SupportPanel :support="{ ...support, example: '' }" />
    <PrintedOrganiser v-for="(o, i) in support.organisers" :key="i" :organiser="o" />
    <p v-for="frame in support.frames" :key="frame.id" class="frame">{{ blanked(frame.text) }}</p>
    <ol v-if="questions.length">
      <li v-for="item in questions" :key="item.id" :class="{ long: linesOnPaper(item) > 3 }">
        <p v-html="toInlineHtml(item.stem)" />
        <p v-if="item.hint && layer.hints.some((h) => h.itemId === item.id)" class="said">
          Hint: {{ item.hint }}
        </p>
        <ul v-if="optionsOf(item).length" class="options">
          <li v-for="o in optionsOf(item)" :key="o.id">
            <span class="tick" /> <span v-html="toInlineHtml(o.text)" />
          </li>
        </ul>
        <table v-if="'prompts' in item" class="pairs">
          <tbody>
            <tr v-for="(p, i) in item.prompts" :key="p.id">
              <td>{{ p.text }}</td>
              <td class="gap" />
              <td>{{ item.partners[i]?.text }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="'passage' in item" class="frame">{{ blanked(item.passage) }}</p>
        <div v-for="n in linesOnPaper(item)" :key="n" class="line" />
      </li>
    </ol>
  </article>
</template>

<style scoped>
.sheet {
  max-width: 52rem;
  padding: 1.6rem 2rem;
  background: #fff;
  color: #1b2321;
  /* paper is white, however the screen is set */
  --ui-bg-muted: #f3eee4;
  --ui-text: #1b2321;
  --ui-text-muted: #5d594f;
  --ui-text-highlighted: #1b2321;
  --ui-border: #ddd5c5;
  --ui-border-accented: #8d877a;
  --ui-primary: #0f4f59;
  --ui-error: #a93f1e;
  --stone-face: #fff;
  border: 1px solid var(--ui-border);
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2rem;
  align-items: baseline;
  margin-bottom: 0.8rem;
}
h2 {
  color: #1b2321;
}
.name {
  white-space: nowrap;
}
.rule {
  display: inline-block;
  width: 12rem;
  border-bottom: 1px solid #555;
}
ol {
  list-style: decimal;
  padding-left: 1.4rem;
  display: grid;
  gap: 0.9rem;
}
ol > li {
  break-inside: avoid;
}
/* lines to write on may go on overleaf, but not without the first of them */
ol > li.long {
  break-inside: auto;
}
.long > p {
  break-after: avoid;
}
.options {
  display: grid;
  gap: 0.2rem;
  margin-top: 0.3rem;
}
.tick {
  display: inline-block;
  width: 0.85em;
  height: 0.85em;
  border: 1px solid #555;
  margin-right: 0.4em;
}
.line {
  height: 1.9em;
  border-bottom: 1px solid #999;
}
.frame {
  line-height: 2.2;
}
.pairs td {
  padding: 0.2rem 0.6rem 0.2rem 0;
}
.gap {
  width: 8rem;
}
@media (max-width: 640px) {
  .sheet {
    padding: 0.8rem 0.9rem;
    overflow-x: auto;
  }
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
    max-width: none;
  }
  .sheet + .sheet {
    break-before: page;
  }
  .sheet :deep(.support) {
    background: none;
    border-color: #777;
  }
}
</style>

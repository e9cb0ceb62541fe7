<script setup lang="ts">
import { computed } from 'vue'
import { addressOf } from '#core/library'
import type { Material } from '#core/library'
import FileList from '~/shared/fields/FileList.vue'
import { count } from '~/shared/words/numbers'
import type { Support } from '#core/versions'
import { toHtml } from '~/shared/words/markdown'
import { toMarkedHtml } from '~/shared/words/markedText'

/** What a piece shows before it asks: film, address, text, words, and by what it is scored. */
const props = defineProps<{ material: Material; content: string; support?: Support | null }>()
const html = computed(() => toMarkedHtml(props.content, props.support ?? null))
const legend = computed(() => props.support?.legend ?? [])
const isFilm = computed(() => /\.(?:mp4|webm|ogv|m4v)(?:[?#]|$)/i.test(props.material.link))
const toLearn = computed(() => props.material.words.filter((w) => w.meaning !== '' || w.example !== ''))
/** Expected in a text: without a meaning of their own. */
const plainWords = computed(() =>
  props.material.words.filter((w) => w.meaning === '' && w.example === '').map((w) => w.word),
)
const media = computed(() => props.material.files.filter((f) => f.sort === 'film' || f.sort === 'sound'))
const host = computed(() => (props.material.link ? new URL(props.material.link).hostname : ''))
</script>

<template>
  <div class="grid gap-3">
    <template v-if="material.link">
      <video v-if="isFilm" controls preload="metadata" :src="material.link" class="film">
        <track kind="captions" />
      </video>
      <p>
        <a class="plain" :href="material.link" target="_blank" rel="noopener noreferrer external">{{
          isFilm ? 'Open the film by itself' : `Open the page on ${host}`
        }}</a>
        <span class="said"> opens in a page of its own</span>
      </p>
    </template>
    <figure v-for="file in media" :key="file.id">
      <video v-if="file.sort === 'film'" controls preload="metadata" :src="addressOf(file.id)" class="film">
        <track kind="captions" />
      </video>
      <audio v-else controls preload="metadata" :src="addressOf(file.id)" class="w-full" />
      <figcaption class="said">{{ file.name }}</figcaption>
    </figure>
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <div v-if="content" class="prose" v-html="html" />
    <p v-if="legend.length" class="prose legend" data-hook="legend">
      <span class="said">Marked in the text:</span>
      <mark v-for="l in legend" :key="l.id" :data-look="l.look">{{ l.name }}</mark>
    </p>
    <details v-if="material.transcript">
      <summary>Transcript</summary>
      <div class="prose" v-html="toHtml(material.transcript)" />
    </details>
    <FileList v-if="material.files.length" :files="material.files" data-hook="piece-files" />
    <p v-if="plainWords.length" data-hook="expected-words">
      <span class="said">Words to use:</span> {{ plainWords.join(', ') }}
    </p>
    <dl v-if="toLearn.length" class="words">
      <div v-for="w in toLearn" :key="w.word">
        <dt>{{ w.word }}</dt>
        <dd>
          {{ w.meaning }} <i v-if="w.example" class="said">{{ w.example }}</i>
        </dd>
      </div>
    </dl>
    <table v-if="material.rubric.length" class="criteria">
      <caption class="text-left said">
        What is looked at
      </caption>
      <tbody>
        <tr v-for="c in material.rubric" :key="c.name">
          <th scope="row">{{ c.name }}</th>
          <td>{{ c.about }}</td>
          <td>{{ count(c.points, 'point') }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1rem;
  align-items: baseline;
}
.film {
  width: 100%;
  max-height: 60vh;
  background: var(--ui-bg-accented);
}
summary {
  cursor: pointer;
}
.criteria {
  width: 100%;
}
.criteria :is(th, td) {
  padding: 0.35rem 0.8rem 0.35rem 0;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--ui-border);
}
.criteria td:last-child {
  white-space: nowrap;
}
.words > div {
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: 0.8rem;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--ui-border);
}
.words dt {
  font-weight: 650;
}
</style>

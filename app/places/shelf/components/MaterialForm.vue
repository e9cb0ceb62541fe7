<script setup lang="ts">
import { computed } from 'vue'
import { cardOfKind } from '#core/library'
import type { PieceDraft } from '../pieceDraft'

/** What a piece has besides text and questions: an address, a transcript, words, criteria. */
const draft = defineModel<PieceDraft>({ required: true })
const card = computed(() => cardOfKind(draft.value.kind))
const FILM = 'Begins with https:// and ends in a film, such as .mp4 or .webm'
const PAGE = 'Begins with https://; it opens in a page of its own'
/** Words without more, a line each. */
const expected = computed({
  get: () => draft.value.words.map((w) => w.word).join('\n'),
  set: (text) => {
    draft.value.words = text.split('\n').map((word) => ({ word, meaning: '', example: '' }))
  },
})
const linkHelp = computed(() => (card.value.link === 'film' ? FILM : PAGE))
</script>

<template>
  <div v-if="card.link !== null" class="grid gap-3">
    <UFormField label="Address" name="material.link" :help="linkHelp"
      ><UInput v-model="draft.link" name="link" maxlength="500" placeholder="https://"
    /></UFormField>
    <UFormField
      v-if="card.link === 'film'"
      label="Transcript"
      help="For who cannot hear it, or reads it again; it is searched, too"
      ><UTextarea v-model="draft.transcript" :rows="4" autoresize name="transcript"
    /></UFormField>
  </div>
  <UFormField
    v-if="card.words === 'expected'"
    label="Expected words"
    help="One in each line. Shown, and found in a learner’s own check, where the work allows it"
    ><UTextarea v-model="expected" :rows="3" autoresize name="expected-words"
  /></UFormField>
  <section v-if="card.words === 'learnt'" aria-label="Words" class="grid gap-2">
    <div v-for="(w, i) in draft.words" :key="i" class="row">
      <UInput v-model="w.word" :aria-label="`Word ${i + 1}`" :name="`word-${i + 1}`" placeholder="word" />
      <UInput v-model="w.meaning" :aria-label="`Meaning ${i + 1}`" placeholder="what it means" />
      <UInput v-model="w.example" :aria-label="`Sentence ${i + 1}`" placeholder="a sentence with it" />
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove word ${i + 1}`"
        @click="() => void draft.words.splice(i, 1)"
      />
    </div>
    <UButton
      class="justify-self-start"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      data-hook="add-word"
      @click="() => void draft.words.push({ word: '', meaning: '', example: '' })"
      >Add a word</UButton
    >
  </section>
  <section v-if="card.hasCriteria" aria-label="Criteria" class="grid gap-2">
    <p class="said">
      By what it is scored; learners see this before they begin.<template v-if="card.items === 'possible'">
        They hand in a few lines and files, and you score those by the criteria.</template
      >
    </p>
    <div v-for="(c, i) in draft.rubric" :key="i" class="row">
      <UInput v-model="c.name" :aria-label="`Criterion ${i + 1}`" placeholder="criterion" />
      <UInput
        v-model="c.about"
        :aria-label="`What earns all points ${i + 1}`"
        placeholder="what earns all points"
      />
      <UInput
        v-model.number="c.points"
        type="number"
        min="0"
        max="100"
        :aria-label="`Points of criterion ${i + 1}`"
        class="w-20"
      />
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove criterion ${i + 1}`"
        @click="() => void draft.rubric.splice(i, 1)"
      />
    </div>
    <UButton
      class="justify-self-start"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      data-hook="add-criterion"
      @click="() => void draft.rubric.push({ name: '', points: 4, about: '' })"
      >Add a criterion</UButton
    >
  </section>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 12rem 1fr 1fr auto;
  gap: 0.4rem;
}
@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr;
    border-bottom: 1px solid var(--ui-border);
    padding-bottom: 0.5rem;
  }
}
</style>

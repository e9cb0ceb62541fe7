<script setup lang="ts">
import { computed } from 'vue'
import { PLACES } from '#core/attempts'
import { groupBy } from '#core/base'
import type { AssignmentId, Instant } from '#core/base'
import type { LearnerCard } from '#core/work'
import WorkCard from './WorkCard.vue'

/** A learner's list: what is to do now, what comes, what is done. */
const props = defineProps<{
  work: readonly LearnerCard[]
  now: Instant
  zone: string
  linkTo: (id: AssignmentId) => string
}>()
const HEADS = {
  now: { word: 'Now', none: 'Nothing to do right now.' },
  next: { word: 'Next', none: 'Nothing is coming up yet.' },
  done: { word: 'Done', none: 'What you hand in is kept here.' },
} as const
const places = computed(() =>
  PLACES.map((place) => {
    const list = ordered(place)
    return { place, ...HEADS[place], isEmpty: list.length === 0, folders: foldersOf(place, list) }
  }),
)
/** Done shows the latest first. */
function ordered(place: (typeof PLACES)[number]): readonly LearnerCard[] {
  const list = props.work.filter((w) => w.place === place)
  return place === 'done' ? [...list].reverse() : list
}
/** What is done lies under the headings of the class; what is to do is one list. */
function foldersOf(place: (typeof PLACES)[number], list: readonly LearnerCard[]) {
  const byHeading = groupBy(list, (w) => (place === 'done' ? w.about.heading.trim() : ''))
  return [...byHeading]
    .map(([heading, cards]) => ({ heading, cards }))
    .sort((a, b) => a.heading.localeCompare(b.heading))
}
</script>

<template>
  <section v-for="p in places" :key="p.place" :aria-labelledby="`place-${p.place}`">
    <h2 :id="`place-${p.place}`" class="mb-2">{{ p.word }}</h2>
    <p v-if="p.isEmpty" class="said">{{ p.none }}</p>
    <div v-for="f in p.folders" :key="f.heading" class="grid gap-2 mb-4">
      <h3 v-if="f.heading" class="said">{{ f.heading }}</h3>
      <WorkCard v-for="w in f.cards" :key="w.id" :work="w" :now="now" :zone="zone" :to="linkTo(w.id)" />
    </div>
  </section>
</template>

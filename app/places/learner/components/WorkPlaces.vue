<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '#core/attempts'
import { byHeading } from '#core/filing'
import type { AssignmentId, Instant } from '#core/base'
import { inSeries } from '#core/agenda'
import type { ListEntry } from '#core/agenda'
import type { LearnerCard } from '#core/work'
import { sayMoment } from '~/shared/words/times'
import MyWeek from './MyWeek.vue'
import WorkCard from './WorkCard.vue'

/** A learner's list: what is to do now, what comes, what is done. */
const props = defineProps<{
  work: readonly LearnerCard[]
  now: Instant
  zone: string
  /** In which order finished work is found under its headings; others come after these. */
  headings: readonly string[]
  linkTo: (id: AssignmentId) => string
}>()
// the order stands here, so that the first page does not bring all about attempts along
const PLACES = ['now', 'next', 'done'] as const satisfies readonly Place[]
const HEADS = {
  now: { word: 'Now', none: 'Nothing to do right now.', of: '' },
  next: { word: 'Next', none: 'Nothing is coming up yet.', of: 'to come' },
  done: { word: 'Done', none: 'What you hand in is kept here.', of: 'done' },
} as const
const places = computed(() =>
  PLACES.map((place) => {
    const list = ordered(place)
    return { place, ...HEADS[place], isEmpty: list.length === 0, folders: foldersOf(place, list) }
  }),
)
/** Done shows the latest first. */
function ordered(place: Place): readonly LearnerCard[] {
  const list = props.work.filter((w) => w.place === place)
  return place === 'done' ? [...list].reverse() : list
}
/** What is done lies under the headings of the class; what is to do is one list. */
function foldersOf(place: Place, list: readonly LearnerCard[]) {
  const headingOf = (w: LearnerCard) => (place === 'done' ? w.about.heading : '')
  return byHeading(list, headingOf, props.headings).map(({ heading, list: cards }) => ({
    heading,
    entries: place === 'now' ? cards.map(alone) : inSeries(cards),
  }))
}
/** What is to do now stands by itself, whatever series it is of. */
const alone = (card: LearnerCard): ListEntry => ({ series: null, cards: [card] })
</script>

<template>
  <MyWeek :work="work" :now="now" :zone="zone" />
  <section v-for="p in places" :key="p.place" :aria-labelledby="`place-${p.place}`">
    <h2 :id="`place-${p.place}`" class="mb-2">{{ p.word }}</h2>
    <p v-if="p.isEmpty" class="said">{{ p.none }}</p>
    <div v-for="f in p.folders" :key="f.heading" class="grid gap-2 mb-4">
      <h3 v-if="f.heading" class="said">{{ f.heading }}</h3>
      <component
        :is="e.series ? 'details' : 'div'"
        v-for="e in f.entries"
        :key="e.cards[0]?.id"
        :class="{ run: e.series }"
        :data-hook="e.series ? `series-${p.place}` : undefined"
      >
        <summary v-if="e.series">
          <b>{{ e.series.title }}</b> · {{ e.cards.length }} {{ p.of }}
          <template v-if="p.place === 'next' && e.cards[0]?.opensAt"
            >· the next opens {{ sayMoment(e.cards[0].opensAt, zone, 'opens') }}</template
          >
        </summary>
        <WorkCard v-for="w in e.cards" :key="w.id" :work="w" :now="now" :zone="zone" :to="linkTo(w.id)" />
      </component>
    </div>
  </section>
</template>

<style scoped>
.run summary {
  padding: 0.6rem 1rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 9px 7px 10px 8px;
  cursor: pointer;
}
.run[open] summary {
  margin-bottom: 0.5rem;
}
.run > :deep(a) {
  margin: 0 0 0.4rem 1rem;
}
</style>

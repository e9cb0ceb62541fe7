<script setup lang="ts">
import { useHead } from '#imports'
import { useIntervalFn } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef } from 'vue'
import { PLACES } from '#core/attempts'
import { groupBy } from '#core/base'
import { ListMyWork } from '#shared/contracts/learning'
import type { LearnerCard } from '#core/work'
import { useServerNow } from '~/shared/session/serverNow'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { sayMoment } from '~/shared/words/times'
import WorkCard from './components/WorkCard.vue'

useHead({ title: 'My work · Step Cairn' })
// most learners never join a second class: its form is fetched when asked for
const JoinAnother = defineAsyncComponent(() => import('./components/JoinAnother.vue'))
const me = useMe()
const now = useServerNow()
const work = shallowRef<readonly LearnerCard[] | null>(null)
const zone = ref('UTC')
const problem = ref('')
const joining = ref(false)
const HEADS = {
  now: { word: 'Now', none: 'Nothing to do right now.' },
  next: { word: 'Next', none: 'Nothing is coming up yet.' },
  done: { word: 'Done', none: 'What you hand in is kept here.' },
} as const

async function load(): Promise<void> {
  const reply = await call(ListMyWork)
  if (!reply.ok) {
    problem.value = sayForEveryone(reply.error)
    return
  }
  problem.value = ''
  me.hear(reply.value.now)
  zone.value = reply.value.zone
  work.value = reply.value.work
}
onMounted(load)
// windows open and close by the server's clock; look again now and then
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void load()
}, 60_000)
const places = computed(() =>
  PLACES.map((place) => {
    const list = ordered(place)
    return { place, ...HEADS[place], isEmpty: list.length === 0, folders: foldersOf(place, list) }
  }),
)
/** What is done lies under the headings of the class; what is to do is one list. */
function foldersOf(place: (typeof PLACES)[number], list: readonly LearnerCard[]) {
  const byHeading = groupBy(list, (w) => (place === 'done' ? w.about.heading.trim() : ''))
  return [...byHeading]
    .map(([heading, cards]) => ({ heading, cards }))
    .sort((a, b) => a.heading.localeCompare(b.heading))
}
/** Done shows the latest first. */
function ordered(place: (typeof PLACES)[number]): readonly LearnerCard[] {
  const list = (work.value ?? []).filter((w) => w.place === place)
  return place === 'done' ? [...list].reverse() : list
}
</script>

<template>
  <div class="pt-6 grid gap-7">
    <div>
      <h1>Hello, {{ me.me?.name.split(' ')[0] }}</h1>
      <p class="said">{{ sayMoment(now, zone) }}</p>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-if="!work && !problem" class="said">Opening …</p>
    <template v-if="work">
      <section v-for="p in places" :key="p.place" :aria-labelledby="`place-${p.place}`">
        <h2 :id="`place-${p.place}`" class="mb-2">{{ p.word }}</h2>
        <p v-if="p.isEmpty" class="said">{{ p.none }}</p>
        <div v-for="f in p.folders" :key="f.heading" class="grid gap-2 mb-4">
          <h3 v-if="f.heading" class="folder">{{ f.heading }}</h3>
          <WorkCard v-for="w in f.cards" :key="w.id" :work="w" :now="now" :zone="zone" />
        </div>
      </section>
      <section>
        <button v-if="!joining" type="button" class="plain-act" @click="joining = true">
          Join another class
        </button>
        <JoinAnother v-else @joined="load" />
      </section>
    </template>
  </div>
</template>

<style scoped>
.folder {
  font-size: 0.95rem;
  color: var(--ui-text-muted);
  margin-top: 0.4rem;
}
.plain-act {
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  min-height: 24px;
  font-size: 0.92rem;
}
</style>

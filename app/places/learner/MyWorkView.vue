<script setup lang="ts">
import { useHead } from '#imports'
import { useIntervalFn } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, onMounted, ref, shallowRef } from 'vue'
import type { AssignmentId } from '#core/base'
import { hasCopy } from '#core/agenda'
import { ListMyWork } from '#shared/contracts/myWork'
import type { LearnerCard } from '#core/work'
import { useServerNow } from '~/shared/session/serverNow'
import { count } from '~/shared/words/numbers'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { sayMoment } from '~/shared/words/times'
import WorkPlaces from './components/WorkPlaces.vue'
import { takeUpAgain } from './composables/leftOff'

useHead({ title: 'My work' })
// most learners never join a second class: its form is fetched when asked for
const JoinAnother = defineAsyncComponent(() => import('./components/JoinAnother.vue'))
const MyPractice = defineAsyncComponent(() => import('./components/MyPractice.vue'))
const MyNews = defineAsyncComponent(() => import('./components/MyNews.vue'))
const me = useMe()
const now = useServerNow()
const work = shallowRef<readonly LearnerCard[] | null>(null)
const zone = ref('UTC')
const problem = ref('')
const joining = ref(false)
const unread = ref(0)
const waiting = ref(0)
const headings = shallowRef<readonly string[]>([])
const isNewsOpen = ref(false)
/** There is one as soon as there is a page in it. */
const hasFolder = computed(() => work.value?.some(hasCopy))
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
  unread.value = reply.value.unread
  waiting.value = reply.value.waiting
  headings.value = reply.value.headings
}
const linkTo = (id: AssignmentId) => `/learn/${id}`
onMounted(async () => {
  await load()
  await nextTick()
  takeUpAgain(linkTo)
})
// windows open and close by the server's clock; look again now and then
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void load()
}, 60_000)
</script>

<template>
  <div class="pt-6 grid gap-7">
    <div>
      <h1>Hello, {{ me.me?.name.split(' ')[0] }}</h1>
      <p class="said">{{ sayMoment(now, zone) }}</p>
      <button
        type="button"
        class="plain-act"
        :aria-expanded="isNewsOpen"
        data-hook="news"
        @click="isNewsOpen = !isNewsOpen"
      >
        What is new<template v-if="unread">: {{ unread }}</template>
      </button>
      <NuxtLink v-if="hasFolder" to="/learn/folder" class="plain-act ml-4" data-hook="my-folder"
        >My folder</NuxtLink
      >
      <MyNews v-if="isNewsOpen" @read="unread = 0" />
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-if="!work && !problem" class="said">Opening …</p>
    <template v-if="work">
      <WorkPlaces :work="work" :now="now" :zone="zone" :headings="headings" :link-to="linkTo" />
      <p v-if="waiting" class="said" data-hook="waiting">
        {{ count(waiting, 'more piece of work waits', 'more pieces of work wait') }} until you have handed
        something in.
      </p>
      <MyPractice />
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
.plain-act {
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  min-height: 24px;
  font-size: var(--text-sm);
}
</style>

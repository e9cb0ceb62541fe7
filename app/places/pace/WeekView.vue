<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { addDays } from '#core/base'
import { ShowHistory } from '#shared/contracts/pacing'
import type { PastAct } from '#shared/contracts/pacing'
import { ShowNeeds, ShowWeek } from '#shared/contracts/week'
import type { WeekAhead, WeekNeeds } from '#shared/contracts/week'
import { useAddress } from '~/shared/frame/address'
import FirstSteps from '~/shared/frame/FirstSteps.vue'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDate, zoneNamed } from '~/shared/words/times'
import NeedsYou from './components/week/NeedsYou.vue'
import WeekGrid from './components/week/WeekGrid.vue'
import { useDesk } from './stores/desk'
import { needsOf } from './week/needs'
import { sayStep } from './words/steps'

/** Am I ready? The coming week of all own classes, what it lacks and who needs something. */
const address = useAddress()
const desk = useDesk()
const week = shallowRef<WeekAhead | null>(null)
const needs = shallowRef<WeekNeeds | null>(null)
const acts = shallowRef<readonly PastAct[]>([])
const problem = ref('')
const asked = computed(() => address.day('on'))
let turn = 0
async function load(): Promise<void> {
  const mine = ++turn
  const reply = await call(ShowWeek, { query: asked.value ? { on: asked.value } : {} })
  if (mine !== turn) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  week.value = reply.value
  const [of, past] = await Promise.all([
    call(ShowNeeds, { query: { mondayOn: reply.value.mondayOn } }),
    call(ShowHistory),
  ])
  if (mine !== turn) return
  if (of.ok) needs.value = of.value
  if (past.ok) acts.value = past.value.acts
}
onMounted(() => desk.load())
watch([asked, () => desk.steps], () => void load(), { immediate: true })
useHead({
  title: 'The week ahead',
  style: [{ key: 'page', innerHTML: '@page { size: landscape; margin: 8mm }' }],
})
const today = computed(() => (week.value ? zoneNamed(week.value.zone).local(week.value.now).on : null))
const lines = computed(() => (week.value && needs.value ? needsOf(week.value, needs.value) : null))
const WEEK_MS = 7 * 24 * 3600 * 1000
const changes = computed(() => {
  const now = week.value?.now
  if (now === undefined) return []
  const since = acts.value.filter((a) => !a.undone && a.at >= now - WEEK_MS)
  return since.map((a) => sayStep(a.command, desk))
})
const sentence = computed(() => {
  if (!week.value) return ''
  const { meetings, notReady, opens, due } = week.value.sums
  const classes = count(week.value.classes.length, 'class', 'classes')
  if (week.value.classes.length === 0) return 'You have no class yet: make one, with its meeting times.'
  if (meetings === 0) return `No meetings of ${classes} this week.`
  const ready =
    notReady === 0 ? 'all of them ready' : `${count(notReady, 'of them is', 'of them are')} not ready`
  const waits = lines.value?.length ? ` ${count(lines.value.length, 'thing needs', 'things need')} you.` : ''
  return `${count(meetings, 'meeting')} of ${classes}, ${ready}; ${opens} open and ${due} fall due.${waits}`
})
function goTo(days: number): void {
  if (week.value) void address.set({ on: addDays(week.value.mondayOn, days) })
}
const print = () => window.print()
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-2">
      <div class="flex-1 min-w-60">
        <h1>The week ahead</h1>
        <p v-if="week" data-hook="week-sentence">{{ sentence }}</p>
      </div>
      <div v-if="week" class="flex items-center gap-1" data-print="hide">
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-chevron-left"
          aria-label="The week before"
          data-hook="week-before"
          @click="goTo(-7)"
        />
        <span class="which" data-hook="week-of"
          >{{ sayDate(week.mondayOn) }} – {{ sayDate(addDays(week.mondayOn, 6)) }}</span
        >
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-chevron-right"
          aria-label="The week after"
          data-hook="week-after"
          @click="goTo(7)"
        />
        <UButton v-if="asked" color="neutral" variant="ghost" to="/pace/week">Now</UButton>
        <UButton color="neutral" variant="outline" to="/pace">Desk</UButton>
        <UButton icon="i-lucide-printer" data-hook="print" @click="print">Print</UButton>
      </div>
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!week || !today" class="said">Opening …</p>
    <FirstSteps v-else-if="week.classes.length === 0" />
    <div v-else class="split">
      <div class="wide" tabindex="0" aria-label="The week, day by day">
        <WeekGrid :week="week" :today="today" />
      </div>
      <NeedsYou :lines="lines" :changes="changes" />
    </div>
  </div>
</template>

<style scoped>
.which {
  min-width: 9rem;
  text-align: center;
  font-weight: 600;
}
.split {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(15rem, 19rem);
  gap: 1.25rem;
  align-items: start;
}
.wide {
  overflow-x: auto;
  /* what is come to by keys is moved in whole: the browser takes half a column for enough */
  scroll-padding: 0 5.5rem;
}
@media screen and (max-width: 1000px) {
  .split {
    grid-template-columns: minmax(0, 1fr);
  }
  .wide :deep(table) {
    min-width: 46rem;
  }
}
@media print {
  .page-plain {
    padding: 0;
    gap: 2mm;
  }
  .page-plain h1 {
    font-size: 13pt;
  }
  .page-plain p {
    font-size: 8.5pt;
  }
  .split {
    grid-template-columns: minmax(0, 1fr);
    gap: 2mm;
  }
}
</style>

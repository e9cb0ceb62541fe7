<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, ref, watch } from 'vue'
import type { IsoDay } from '#core/base'
import type { DayNote } from '#core/calendar'
import type { FoundClosure } from '#core/formats'
import { MakeYear } from '#shared/contracts/teaching'
import { RippleHere, useAwayFromDesk, useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { useOverview } from '~/shared/session/overview'
import { useToday } from '~/shared/session/today'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import ClosureImport from './components/setup/ClosureImport.vue'
import HolidayPicker from './components/year/HolidayPicker.vue'
import NoteRows from './components/year/NoteRows.vue'
import ShortMeetings from './components/year/ShortMeetings.vue'
import TermRows from './components/year/TermRows.vue'
import YearFields from './components/year/YearFields.vue'
import YearPicture from './components/year/YearPicture.vue'
import { useTakingAway } from './composables/takingAway'
import { useYearForm } from './composables/yearForm'
import { sayYearFault } from './words/yearFaults'

useHead({ title: 'School year' })
const store = useOverview()
const tell = useTell()
const away = useAwayFromDesk()
const desk = useDesk()
const today = useToday()
const form = useYearForm()
const { fields, next, year, checked } = form
const busy = ref(false)
const problem = ref('')
const known = computed(() => store.overview?.years[0] ?? null)
const mayChange = computed(() => known.value === null || (store.overview?.mayEditYear ?? false))

onMounted(async () => {
  await store.load(true)
  if (known.value) form.show(known.value.year)
  else form.propose(today.value, Intl.DateTimeFormat().resolvedOptions().timeZone)
})
// an undo from the bar reaches this page too; what was typed meanwhile stays
watch(
  () => desk.year,
  async (now, before) => {
    if (!now || !before || now === before) return
    await store.load(true)
    if (known.value && !form.isChanged.value) form.show(known.value.year)
  },
)
watch(next, () => {
  problem.value = ''
})
function take(closures: readonly FoundClosure[]): void {
  const fresh = form.takeIn(closures)
  tell.done(`${count(fresh, 'closure')} added. Save the year to keep ${fresh === 1 ? 'it' : 'them'}.`)
}
const close = (fromOn: IsoDay, throughOn: IsoDay) => form.addNote({ fromOn, throughOn })
/** The note whose row has the focus. */
const looked = ref<DayNote | null>(null)
const addNote = (kind: 'closure' | 'short') =>
  form.addNote(kind === 'short' ? { kind, name: 'Half day', factorRatio: 0.5 } : {})

async function save(): Promise<void> {
  if (!next.value) return
  busy.value = true
  const old = known.value?.year
  const reply = old
    ? await away.propose(
        { kind: 'year', yearId: old.id, from: old, to: { id: old.id, ...next.value } },
        old.id,
        'The school year changed',
      )
    : await call(MakeYear, { body: next.value })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayYearFault(reply.error)
    return
  }
  problem.value = ''
  if (reply.value === 'made') return saved()
  if (reply.value === 'looked-at') return
  await Promise.all([store.load(true), desk.load(true)])
  await navigateTo('/classes')
}
const { takeAway } = useTakingAway()
async function remove(): Promise<void> {
  const year = known.value?.year
  if (!year || !(await takeAway({ kind: 'year', id: year.id }, `the year ${year.name}`))) return
  await desk.load(true)
  await navigateTo('/classes')
}
async function saved(): Promise<void> {
  tell.done('The year is saved')
  await store.load(true)
  if (known.value) form.show(known.value.year)
}
</script>

<template>
  <form v-if="fields" class="page" novalidate @submit.prevent="save">
    <header>
      <p class="said"><NuxtLink class="plain" to="/classes">Classes</NuxtLink></p>
      <h1>School year</h1>
      <p v-if="!mayChange" class="note-line care mt-2">
        The office changes the school year. You can look at it here.
      </p>
    </header>
    <div class="two">
      <div class="grid gap-5 content-start">
        <YearFields :form="form" :today="today" />
        <TermRows
          :model-value="fields.terms"
          :first-on="fields.firstOn"
          :last-on="fields.lastOn"
          :today="today"
          @update:model-value="form.setTerms"
        />
        <NoteRows
          :model-value="fields.notes"
          :today="today"
          @update:model-value="form.setNotes"
          @add="addNote"
          @look="looked = $event"
        />
        <HolidayPicker
          :first-on="fields.firstOn"
          :last-on="fields.lastOn"
          :known="fields.notes"
          @take="take"
        />
        <ClosureImport :zone="fields.zone" :first-on="fields.firstOn" :last-on="fields.lastOn" @take="take" />
        <ShortMeetings :form="form" />
      </div>
      <div class="picture">
        <YearPicture
          v-if="year"
          :year="year"
          :today="today"
          :may-change="mayChange"
          :framed="looked"
          @close="close"
        />
        <p v-else-if="checked && !checked.ok" class="note-line care" role="status">
          No picture yet. {{ sayRefusal(checked.error) }}
        </p>
      </div>
    </div>
    <div class="foot">
      <p v-if="problem" class="note-line needs w-full" role="alert">{{ problem }}</p>
      <UButton type="submit" size="md" :loading="busy" :disabled="!mayChange" data-hook="save-year">{{
        known ? 'Save the year' : 'Make the year'
      }}</UButton><UButton size="md" to="/classes" color="neutral" variant="ghost">Back</UButton>
      <span class="flex-1" /><UButton
        v-if="known && mayChange"
        size="md"
        color="neutral"
        variant="ghost"
        icon="i-lucide-archive"
        data-hook="remove-year"
        @click="remove"
        >Remove this year</UButton
      >
    </div>
  </form>
  <p v-else class="said p-5">Opening …</p>
  <RippleHere @made="saved" />
</template>

<style scoped>
.page {
  padding: 1.25rem 1.25rem 0;
  display: grid;
  gap: 1.25rem;
}
.two {
  display: grid;
  gap: 1.5rem;
  grid-template-columns: minmax(0, 1fr);
}
@media (min-width: 1180px) {
  .two {
    grid-template-columns: minmax(0, 48rem) 25.2rem;
  }
  .picture {
    position: sticky;
    top: 1rem;
    align-self: start;
  }
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  position: sticky;
  bottom: 0;
  z-index: 2;
  padding-block: 0.75rem;
  background: var(--ui-bg);
  border-top: 1px solid var(--ui-border);
}
</style>

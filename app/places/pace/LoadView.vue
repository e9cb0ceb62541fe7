<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { mondayOf } from '#core/base'
import type { ClassId, IsoDay, UserId } from '#core/base'
import type { Spread } from '#core/load'
import { ShowLoad } from '#shared/contracts/load'
import type { ClassLoad } from '#shared/contracts/load'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDate, zoneNamed } from '~/shared/words/times'
import LearnerDays from './components/load/LearnerDays.vue'
import LoadTable from './components/load/LoadTable.vue'

/** Whether it is too much, for whom and when: what each learner of a class carries in all of their classes. */
const overview = useOverview()
const address = useAddress()
onMounted(() => overview.load())
const shown = shallowRef<ClassLoad | null>(null)
const problem = ref('')
const spread = ref<Spread>('window')
const chosen = ref<{ readonly learnerId: UserId; readonly week: IsoDay } | null>(null)
const classes = computed(() => overview.overview?.classes ?? [])
const classId = computed(() => {
  const asked = address.text('class')
  return (
    typeof asked === 'string' ? asked : (classes.value.find((c) => c.mine)?.id ?? null)
  ) as ClassId | null
})
useHead({ title: computed(() => `Load of ${shown.value?.name ?? 'a class'}`) })
async function load(): Promise<void> {
  const id = classId.value
  if (!id) return
  const reply = await call(ShowLoad, { params: { classId: id }, query: { spread: spread.value } })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) shown.value = reply.value
}
watch(
  [classId, spread],
  () => {
    chosen.value = null
    void load()
  },
  { immediate: true },
)
const thisWeek = computed(() =>
  shown.value ? mondayOf(zoneNamed(shown.value.zone).local(shown.value.now).on) : null,
)
/** For whom this week and the three after it hold too much, each with the places of these weeks. */
const soon = computed(() => {
  const { weeks = [], learners = [] } = shown.value ?? {}
  const from = Math.max(
    0,
    weeks.findIndex((w) => w === thisWeek.value),
  )
  const isSoon = (place: number) => place >= from && place < from + 4
  return learners
    .map((l) => [...l.heavyWeeks, ...l.heavyDays].filter(isSoon))
    .filter((places) => places.length > 0)
})
const sentence = computed(() => {
  const first = shown.value?.weeks[Math.min(...soon.value.flat())]
  if (!first) return 'Nobody carries more than the limits in this week and the three after it.'
  const who = count(soon.value.length, 'learner carries', 'learners carry')
  return `${who} more than the limits soon, first in the week of ${sayDate(first)}.`
})
const SPREAD_WORDS = [
  { value: 'window' as const, label: 'over the days of each window' },
  { value: 'due' as const, label: 'on the day it is due' },
]
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1 min-w-60">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Load</h1>
      </div>
      <UButton
        v-if="classId"
        color="neutral"
        variant="outline"
        :to="{ path: '/classes/filing', query: { class: classId } }"
        data-hook="to-ceilings"
        >Set how much may be open at once</UButton
      >
      <ChoiceButtons
        label="Class"
        :items="classes.map((c) => ({ value: c.id, label: c.name }))"
        :model-value="classId"
        @update:model-value="address.set({ class: $event })"
      />
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="overview.overview && classes.length === 0" data-hook="no-class">
      No class yet. <NuxtLink class="plain" to="/classes">Make a class</NuxtLink> first.
    </p>
    <p v-else-if="!shown" class="said">Opening …</p>
    <template v-else>
      <p data-hook="load-sentence">{{ sentence }}</p>
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <ChoiceButtons v-model="spread" label="Minutes count" :items="SPREAD_WORDS" />
        <p class="said">
          Minutes a week in all classes of each learner. Above {{ shown.limits.minutesPerWeek }} minutes, or
          {{ shown.limits.piecesPerWeek }} pieces, a week is marked.
        </p>
      </div>
      <div class="split" :class="{ two: chosen }">
        <LoadTable
          :of="shown"
          :this-week="thisWeek"
          :chosen="chosen"
          @choose="
            (learnerId, week) => {
              chosen = { learnerId, week }
            }
          "
        />
        <LearnerDays
          v-if="chosen"
          :of="shown"
          :spread="spread"
          :learner-id="chosen.learnerId"
          :week="chosen.week"
          @close="
            () => {
              chosen = null
            }
          "
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.split {
  display: grid;
  gap: 1rem;
  grid-template-columns: minmax(0, 1fr);
}
.split.two {
  grid-template-columns: minmax(0, 1fr) minmax(18rem, 24rem);
}
@media (max-width: 900px) {
  .split.two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

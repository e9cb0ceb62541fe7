<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { IsoDay, LessonId } from '#core/base'
import { PRIOR_MEETINGS, datesOf } from '#core/pacing'
import type { Band, Forecast } from '#core/pacing'
import { useServerNow } from '~/shared/session/serverNow'
import { count, percent } from '~/shared/words/numbers'
import { sayDate, sayDay } from '~/shared/words/times'
import { useInks } from '../../composables/inks'
import { bandOption } from '../../forecastOptions'
import { useDesk } from '../../stores/desk'
import type { DeskColumn } from '../../stores/deskColumn'
import { forecastClient } from '../../workers/forecast.client'

/** How likely each fixed date and the year's end hold, from simulated rests of the year. */
const props = defineProps<{ column: DeskColumn; today: IsoDay | null }>()
const ChartBox = defineAsyncComponent(() => import('~/shared/charts/ChartBox.vue'))
const RUNS = 2000
const desk = useDesk()
const inks = useInks()
const now = useServerNow(60_000)
const name = (id: LessonId) =>
  props.column.lessons.get(id)?.number || props.column.lessons.get(id)?.title || ''

const forecast = shallowRef<Forecast | null>(null)
const progress = ref<number | null>(null)
const client = forecastClient()
onBeforeUnmount(client.end)
const unitEnds = computed(() => {
  const c = props.column
  if (!c.plan) return []
  return c.plan.units.flatMap((u) => {
    const own = c.sequence.filter(
      (l) => l.unitId === u.id && c.of.pacing.records[l.id]?.outcome !== 'covered' && !c.of.pacing.left[l.id],
    )
    const last = own[own.length - 1]
    return last ? [{ unit: u, last: last.id }] : []
  })
})
watch(
  () => props.column,
  async (c) => {
    forecast.value = null
    if (!c.plan) return
    progress.value = 0
    forecast.value = await client.ask(
      {
        runs: RUNS,
        seed: 20_260_824,
        now: now.value,
        plan: c.plan,
        pacing: c.of.pacing,
        calendar: c.calendar,
        terms: desk.year?.terms ?? [],
        ends: unitEnds.value.map((u) => u.last),
      },
      (ratio) => {
        progress.value = ratio
      },
    )
    progress.value = null
  },
  { immediate: true },
)
function stop(): void {
  client.cancel()
  progress.value = null
}
const bands = computed(() => {
  const c = props.column
  const dates = c.layout ? datesOf(c.layout, c.calendar.meetings) : null
  return unitEnds.value.flatMap(({ unit, last }) => {
    const end = forecast.value?.ends.find((e) => e.lessonId === last)
    return end
      ? [
          {
            name: shortened(`${unit.number} ${unit.title}`),
            on: end.on,
            planned: dates?.get(last)?.lastOn ?? null,
          },
        ]
      : []
  })
})
const shortened = (text: string) => (text.length > 24 ? `${text.slice(0, 23)}…` : text)
function three([best, middle, worst]: Band): string {
  if (best !== middle || middle !== worst)
    return `${day(best)} at best, ${day(middle)} as likely as not, ${day(worst)} at worst`
  return best ? `on ${day(best)} in nearly every run` : 'after its last day in nearly every run'
}
const day = (on: IsoDay | null) => (on ? sayDate(on) : 'past the year')
const toneOf = (ratio: number): string => {
  if (ratio < 0.5) return 'needs'
  return ratio < 0.8 ? 'care' : 'fine'
}
</script>

<template>
  <section aria-labelledby="fc-h" data-hook="forecast">
    <h2 id="fc-h">{{ column.of.name }}: forecast</h2>
    <p v-if="progress !== null" class="said flex items-center gap-2" role="status">
      Running {{ RUNS }} years … {{ percent(progress) }}
      <UButton size="xs" variant="outline" color="neutral" @click="stop">Stop</UButton>
    </p>
    <template v-if="forecast">
      <ul class="grid gap-1 my-1" data-hook="chances">
        <li v-for="f in forecast.fixed" :key="f.lessonId" class="note-line" :class="toneOf(f.chanceRatio)">
          <span
            ><b
              >{{ name(f.lessonId) }} {{ f.binds === 'end' ? 'by' : 'on' }} {{ sayDay(f.on) }}:
              {{ percent(f.chanceRatio) }}</b
            >
            that {{ f.binds === 'end' ? 'it is done' : 'everything before it is done' }}. Ready
            {{ three(f.ready) }}.</span
          >
        </li>
        <li class="note-line" :class="toneOf(forecast.year.chanceRatio)">
          <span
            ><b>The whole plan within the year: {{ percent(forecast.year.chanceRatio) }}.</b> Finished
            {{ three(forecast.year.finish) }}.</span
          >
        </li>
      </ul>
      <ChartBox
        v-if="today && desk.year"
        :option="bandOption(bands, today, desk.year.lastOn, inks)"
        label="When each unit ends: 10 to 90 per cent span and middle; the list above has the main figures"
        :height="80 + bands.length * 34"
      />
      <details class="said mt-1">
        <summary class="cursor-pointer">How this is worked out</summary>
        <p class="mt-1">
          The rest of the year is played {{ forecast.runs }} times with the same seed. Each lesson takes its
          planned length × {{ forecast.pace.usedRatio.toFixed(2) }} (this class's own pace over
          {{ count(forecast.pace.lessons, 'recorded lesson') }}, pulled toward 1 by
          {{ PRIOR_MEETINGS }} meetings of plan) × a chance factor (spread
          {{ forecast.pace.spreadRatio.toFixed(2) }}, from the same lessons), in half meetings or minutes.
          Checks and tests take what is planned, catch-up time gives way to a delay, and each meeting to come
          is lost with {{ percent(forecast.pace.lossRatio) }} ({{ forecast.pace.lost }} called off so far
          beside {{ forecast.pace.held }} held so far, pulled toward 2 %). At best, as likely as not, at
          worst: 10, 50 and 90 % of the runs. Otherwise each run is laid out like the plan: at even pace and
          without losses it is the plan itself. It assumes that nobody shortens or leaves out anything.
        </p>
      </details>
    </template>
    <p v-else-if="progress === null" class="said">Stopped. Choose the class again to run it.</p>
  </section>
</template>

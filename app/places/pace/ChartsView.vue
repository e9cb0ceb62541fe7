<script setup lang="ts">
import { useHead, useRoute, useRouter } from '#imports'
import { useColorMode } from '@vueuse/core'
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import type { IsoDay, ClassId, LessonId } from '#core/base'
import { lossesBetween } from '#core/calendar'
import { PRIOR_MEETINGS, courseOf, datesOf, driftSeries, reachesOf } from '#core/pacing'
import type { Forecast } from '#core/pacing'
import { driftOption, fitOption } from './chartOptions'
import { bandOption, lostOption } from './forecastOptions'
import { useServerNow } from '~/shared/session/serverNow'
import { useDesk } from './stores/desk'
import { driftOf } from './stores/deskColumn'
import { count, meetingsOf, percent } from '~/shared/words/numbers'
import { sayDate, sayDay, zoneNamed } from '~/shared/words/times'
import { sayDrift } from './words/ways'
import { forecastClient } from './workers/forecast.client'

useHead({ title: 'Fit, drift and forecast · Step Cairn' })
const ChartBox = defineAsyncComponent(() => import('~/shared/charts/ChartBox.vue'))
const RUNS = 2000
const desk = useDesk()
const route = useRoute()
const router = useRouter()
const now = useServerNow(60_000)
const mode = useColorMode()
onMounted(() => desk.load())

const withPlan = computed(() => desk.columns.filter((c) => c.plan && c.layout))
const chosenId = computed(() =>
  typeof route.query.class === 'string' ? (route.query.class as ClassId) : (withPlan.value[0]?.of.id ?? null),
)
const column = computed(() => withPlan.value.find((c) => c.of.id === chosenId.value) ?? null)
const today = computed(() => (desk.year ? zoneNamed(desk.zone).local(now.value).on : null))
const name = (id: LessonId | null) =>
  column.value?.lessons.get(id as LessonId)?.number || column.value?.lessons.get(id as LessonId)?.title || ''
const inks = computed(() => {
  const read = (token: string) => (
    void mode.value,
    getComputedStyle(document.documentElement).getPropertyValue(token).trim()
  )
  return {
    primary: read('--ui-primary'),
    rowan: read('--ui-error'),
    gorse: read('--color-gorse-400'),
    moss: read('--ui-success'),
    muted: read('--ui-text-muted'),
    ground: read('--ui-bg'),
  }
})

const reaches = computed(() =>
  (column.value?.plan
    ? reachesOf(
        courseOf(column.value.plan, column.value.calendar.meetings, column.value.of.pacing, {
          terms: desk.year?.terms ?? [],
        }),
      )
    : []
  )
    .filter((r) => r.lessonIds.length > 0)
    .map((r) => ({
      ...r,
      name: r.upTo
        ? `to ${name(r.upTo)}`
        : r.endsBecause === 'part'
          ? 'to the end of the part'
          : 'to the end of the year',
    })),
)
const lines = computed(() =>
  withPlan.value
    .flatMap((c) => {
      const { baseline } = c.of.pacing
      return baseline && c.layout ? [{ c, baseline, layout: c.layout }] : []
    })
    .map(({ c, baseline, layout }) => ({
      name: c.of.shortName,
      now: today.value ? (driftOf(c, today.value) ?? 0) : 0,
      points: driftSeries(baseline, layout, c.calendar.meetings),
    })),
)
const lost = computed(() =>
  withPlan.value.flatMap((c) =>
    (desk.year?.terms ?? []).map((t) => {
      const inTerm = c.calendar.lost.filter((l) => t.firstOn <= l.on && l.on <= t.lastOn)
      const byCause: Record<string, number> = {}
      for (const l of inTerm) byCause[l.cause] = (byCause[l.cause] ?? 0) + 1
      const why = new Map<string, number>()
      for (const l of inTerm) why.set(l.because, (why.get(l.because) ?? 0) + 1)
      return {
        name: `${c.of.shortName}, ${t.name}`,
        byCause,
        ...lossesBetween(c.calendar, t.firstOn, t.lastOn),
        why: [...why].map(([w, n]) => `${w} ${n}`).join(', '),
      }
    }),
  ),
)

const forecast = shallowRef<Forecast | null>(null)
const progress = ref<number | null>(null)
const client = forecastClient()
onBeforeUnmount(client.end)
const unitEnds = computed(() => {
  const c = column.value
  if (!c?.plan) return []
  return c.plan.units.flatMap((u) => {
    const own = c.sequence.filter(
      (l) => l.unitId === u.id && c.of.pacing.records[l.id]?.outcome !== 'covered' && !c.of.pacing.left[l.id],
    )
    const last = own[own.length - 1]
    return last ? [{ unit: u, last: last.id }] : []
  })
})
watch(
  column,
  async (c) => {
    forecast.value = null
    if (!c?.plan) return
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
  const c = column.value
  const dates = c?.layout ? datesOf(c.layout, c.calendar.meetings) : null
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
const three = (band: readonly (IsoDay | null)[]) =>
  band.every((on) => on === band[0])
    ? band[0]
      ? `on ${day(band[0])} in nearly every run`
      : 'after its last day in nearly every run'
    : `${day(band[0])} at best, ${day(band[1])} as likely as not, ${day(band[2])} at worst`
const day = (on: IsoDay | null | undefined) => (on ? sayDate(on) : 'past the year')
</script>

<template>
  <div class="p-5 grid gap-6 max-w-6xl">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Fit, drift and forecast</h1>
      </div>
      <div class="flex gap-1.5" role="group" aria-label="Class">
        <UButton
          v-for="c in withPlan"
          :key="c.of.id"
          size="xs"
          color="neutral"
          :variant="c.of.id === chosenId ? 'solid' : 'subtle'"
          :aria-pressed="c.of.id === chosenId"
          @click="
            () => {
              void router.replace({ query: { class: c.of.id } })
            }
          "
          >{{ c.of.shortName }}</UButton
        >
      </div>
    </header>
    <p v-if="desk.loaded && withPlan.length === 0" class="said">
      No class has a plan yet. <NuxtLink class="plain" to="/classes/plans">Lay one out</NuxtLink> first.
    </p>
    <template v-if="column">
      <div class="grid gap-6 lg:grid-cols-2">
        <section aria-labelledby="fit-h">
          <h2 id="fit-h">{{ column.of.name }}: fit of each stretch</h2>
          <p class="said mb-2">
            Meetings there are up to each fixed date, and meetings its lessons need.
            <NuxtLink class="plain" :to="{ path: '/pace/fit', query: { class: column.of.id } }"
              >Make it fit</NuxtLink
            >
          </p>
          <ChartBox
            :option="fitOption(reaches, inks)"
            :label="`Fit of ${count(reaches.length, 'stretch', 'stretches')}; the table below has the figures`"
            :height="90 + reaches.length * 44"
          />
          <table class="grid-table">
            <thead>
              <tr>
                <th scope="col">Stretch</th>
                <th scope="col">There are</th>
                <th scope="col">Needed</th>
                <th scope="col">At least</th>
                <th scope="col">Slack</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="r in reaches" :key="r.name">
                <th scope="row">{{ r.name }}</th>
                <td>{{ meetingsOf(r.capacityHalves) }}</td>
                <td>{{ meetingsOf(r.needHalves) }}</td>
                <td>{{ meetingsOf(r.leastHalves) }}</td>
                <td :class="{ 'text-error font-semibold': r.slackHalves < 0 }">
                  {{ meetingsOf(r.slackHalves) }}
                </td>
              </tr>
            </tbody>
          </table>
        </section>
        <section aria-labelledby="fc-h" data-hook="forecast">
          <h2 id="fc-h">{{ column.of.name }}: forecast</h2>
          <p v-if="progress !== null" class="said flex items-center gap-2" role="status">
            Running {{ RUNS }} years … {{ percent(progress) }}
            <UButton size="xs" variant="outline" color="neutral" @click="stop">Stop</UButton>
          </p>
          <template v-if="forecast">
            <ul class="grid gap-1 my-1" data-hook="chances">
              <li
                v-for="f in forecast.fixed"
                :key="f.lessonId"
                class="note-line"
                :class="f.chanceRatio < 0.5 ? 'needs' : f.chanceRatio < 0.8 ? 'care' : 'fine'"
              >
                <span
                  ><b>{{ name(f.lessonId) }} on {{ sayDay(f.on) }}: {{ percent(f.chanceRatio) }}</b> that
                  everything before it is done. Ready {{ three(f.ready) }}.</span
                >
              </li>
              <li
                class="note-line"
                :class="
                  forecast.year.chanceRatio < 0.5
                    ? 'needs'
                    : forecast.year.chanceRatio < 0.8
                      ? 'care'
                      : 'fine'
                "
              >
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
                The rest of the year is played {{ forecast.runs }} times with the same seed. Each lesson takes
                its planned length × {{ forecast.pace.usedRatio.toFixed(2) }} (this class's own pace over
                {{ count(forecast.pace.lessons, 'recorded lesson') }}, pulled toward 1 by
                {{ PRIOR_MEETINGS }} meetings of plan) × a chance factor (spread
                {{ forecast.pace.spreadRatio.toFixed(2) }}, from the same lessons), in half meetings. Checks
                and tests take what is planned, catch-up time gives way to a delay, and each meeting to come
                is lost with {{ percent(forecast.pace.lossRatio) }} ({{ forecast.pace.lost }} called off
                beside {{ forecast.pace.held }} held so far, pulled toward 2 %). At best, as likely as not, at
                worst: 10, 50 and 90 % of the runs. It assumes that nobody shortens or leaves out anything.
              </p>
            </details>
          </template>
          <p v-else-if="progress === null" class="said">Stopped. Choose the class again to run it.</p>
        </section>
      </div>
      <section v-if="lines.length" aria-labelledby="dr-h">
        <h2 id="dr-h">Drift over the year</h2>
        <p class="said">
          Meetings ahead of (+) or behind (−) the baseline. Now:
          <template v-for="(l, i) in lines" :key="l.name"
            ><template v-if="i">, </template>{{ l.name }} {{ sayDrift(l.now) }}</template
          >.
        </p>
        <ChartBox
          :option="driftOption(lines, today, inks)"
          label="Drift of each class over the year; the line above tells where they are now"
          :height="280"
        />
      </section>
      <section aria-labelledby="lo-h">
        <h2 id="lo-h">Lost time</h2>
        <ChartBox
          :option="lostOption(lost, inks)"
          label="Meetings lost and shortened in each term; the table below has the figures"
          :height="70 + lost.length * 26"
        />
        <details>
          <summary class="cursor-pointer said">In figures, with reasons</summary>
          <table class="grid-table">
            <thead>
              <tr>
                <th scope="col">Class and term</th>
                <th scope="col">Meetings</th>
                <th scope="col">Lost</th>
                <th scope="col">Shortened</th>
                <th scope="col">Why lost</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="l in lost" :key="l.name">
                <th scope="row">{{ l.name }}</th>
                <td>{{ l.meetings }}</td>
                <td>{{ l.lost }}</td>
                <td>{{ l.shortened }}</td>
                <td>{{ l.why }}</td>
              </tr>
            </tbody>
          </table>
        </details>
      </section>
    </template>
  </div>
</template>

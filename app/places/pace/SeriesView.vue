<script setup lang="ts">
import { useHead } from '#imports'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { READY_RULES } from '#core/attempts'
import type { ClassId, ResourceId, SeriesId } from '#core/base'
import { filledDown, moved, withOwn } from '#core/series'
import type { RowDays, Series } from '#core/series'
import type { SeriesPiece } from '#shared/contracts/series'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useOverview } from '~/shared/session/overview'
import { zoneNamed } from '~/shared/words/times'
import AddRows from './components/series/AddRows.vue'
import RowForSomebody from './components/series/RowForSomebody.vue'
import SeriesHead from './components/series/SeriesHead.vue'
import SeriesLanes from './components/series/SeriesLanes.vue'
import SeriesRows from './components/series/SeriesRows.vue'
import SeriesSettings from './components/series/SeriesSettings.vue'
import { useClassSeries } from './composables/classSeries'
import { withAnswer } from './rowAnswer'
import type { RowAnswer } from './rowAnswer'
import { useDesk } from './stores/desk'
import { sayOverlap } from './words/series'

/** What runs beside the lessons of a class, week after week. */
const overview = useOverview()
const address = useAddress()
const open = useDialogs()
onMounted(() => overview.load())
const classes = computed(() => (overview.overview?.classes ?? []).filter((c) => c.mine))
const classId = computed(() => address.id<ClassId>('class') ?? classes.value[0]?.id ?? null)
const desk = useDesk()
onMounted(() => desk.load())
const { said, problem, pieces, lanes, change, make, doTo, know } = useClassSeries(classId)
useHead({ title: computed(() => `Series of ${said.value?.name ?? 'a class'}`) })
const today = computed(() => (said.value ? zoneNamed(said.value.zone).local(said.value.now).on : null))
const lane = computed(
  () => lanes.value.find((l) => l.kept.id === address.text('series')) ?? lanes.value[0] ?? null,
)
const head = useTemplateRef('head')
const row = ref<string | null>(null)
function choose(id: SeriesId, rowId: string | null): void {
  row.value = rowId
  if (id !== lane.value?.kept.id) void address.put({ series: id })
}
function edit(id: SeriesId, next: (series: Series) => Series): Promise<boolean> {
  const kept = lanes.value.find((l) => l.kept.id === id)?.kept
  return kept ? change(id, next(kept.series)) : Promise.resolve(false)
}
const onChosen = async (next: (series: Series) => Series) =>
  lane.value ? edit(lane.value.kept.id, next) : false
type OwnDays = { [K in keyof RowDays]?: RowDays[K] | undefined }
const setDays = (id: SeriesId, rowId: string, own: OwnDays) => void edit(id, (s) => withOwn(s, rowId, own))
const newRowId = () => crypto.randomUUID().slice(0, 8)
async function add(list: readonly SeriesPiece[]): Promise<void> {
  know(list)
  const rows = list.map((p) => ({ id: newRowId(), resourceId: p.id, own: {}, others: [] }))
  await onChosen((s) => ({ ...s, rows: [...s.rows, ...rows] }))
  await nextTick()
  head.value?.toRelease()
}
function fill(rowId: string): void {
  const laid = new Map(lane.value?.laid.map((r) => [r.rowId, r.days ?? { opensOn: null, throughOn: null }]))
  void onChosen((s) => filledDown(s, rowId, laid))
}
async function otherwise(rowId: string): Promise<void> {
  const of = lane.value
  const found = of?.kept.series.rows.find((r) => r.id === rowId)
  const days = of?.laid.find((r) => r.rowId === rowId)?.days ?? { opensOn: null, throughOn: null }
  if (!said.value || !found || !of || !today.value) return
  const given = { of: said.value, row: found, title: of.titleOf(rowId), days, today: today.value }
  const answer = await open<RowAnswer>(RowForSomebody, given)
  if (answer) void onChosen((s) => withAnswer(s, rowId, answer))
}
async function begin(of: Partial<Series> = {}, on = classId.value): Promise<void> {
  if (!on || !today.value) return
  const blank: Series = {
    title: 'New series',
    rule: { kind: 'meetings', from: today.value, every: 1, stays: null },
    rows: [],
    rules: READY_RULES.practice,
    ...of,
    classId: on,
    targets: [{ kind: 'class', classId: on }],
  }
  await make(blank, (id) => {
    opened.value = id
    void address.set({ class: on, series: id })
  })
}
/** The same run for another class, by that class's own days. */
function copyTo(id: ClassId): void {
  const from = lane.value?.kept.series
  if (from) void begin({ ...from, rows: from.rows.map(({ only: _, ...r }) => ({ ...r, others: [] })) }, id)
}
async function clear(): Promise<void> {
  const of = lane.value
  if (!of) return
  const text =
    'Rows that nobody has begun are taken back from learners and out of the series. What learners have begun ' +
    'stays. One undo brings all of it back.'
  const title = `Clear “${of.kept.series.title}”?`
  if (await open<boolean>(ConfirmDialog, { title, text, act: 'Clear and start over' }))
    await doTo(of.kept.id, 'clear')
}
/** The series whose rule and people are opened to be changed; a new one has them open. */
const opened = ref<SeriesId | null>(null)
function toggleSettings(id: SeriesId): void {
  opened.value = opened.value === id ? null : id
}
const has = computed(() => new Set(lane.value?.kept.series.rows.map((r) => r.resourceId)))
const minutesOf = (id: ResourceId) => pieces.value.get(id)?.minutes ?? null
</script>

<template>
  <div class="page-plain">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1 min-w-60">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Series</h1>
      </div>
      <ChoiceButtons
        label="Class"
        :items="classes.map((c) => ({ value: c.id, label: c.name }))"
        :model-value="classId"
        @update:model-value="address.set({ class: $event })"
      />
      <UButton
        v-if="said?.mayChange"
        icon="i-lucide-plus"
        variant="outline"
        data-hook="new-series"
        @click="begin()"
        >New series</UButton
      >
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="overview.overview && classes.length === 0" data-hook="no-class">
      No class yet. <NuxtLink class="plain" to="/classes">Make a class</NuxtLink> first.
    </p>
    <p v-else-if="!said || !today" class="said">Opening …</p>
    <template v-else>
      <p v-if="lanes.length === 0" data-hook="no-series">
        Nothing runs beside the lessons of {{ said.name }} yet. A series hands out one piece after another,
        say a word list each week. Press New series.
      </p>
      <div v-else class="split">
        <section v-if="lane" class="grid gap-3 content-start" :aria-label="lane.kept.series.title">
          <ChoiceButtons
            v-if="lanes.length > 1"
            label="Series"
            :items="lanes.map((l) => ({ value: l.kept.id, label: l.kept.series.title }))"
            :model-value="lane.kept.id"
            @update:model-value="$event && choose($event, null)"
          />
          <SeriesHead
            ref="head"
            :of="said"
            :lane="lane"
            :others="classes.filter((c) => c.id !== classId)"
            :is-opened="opened === lane.kept.id"
            @release="void doTo(lane.kept.id, 'release')"
            @clear="clear"
            @remove="void doTo(lane.kept.id, 'remove')"
            @copy="copyTo"
            @settings="toggleSettings(lane.kept.id)"
          />
          <p v-for="o in lane.overlaps.slice(0, 4)" :key="o.first + o.second" class="note-line care">
            {{ sayOverlap(o, lane.kept.series.rows, said) }}
          </p>
          <SeriesSettings
            v-if="opened === lane.kept.id"
            :key="lane.kept.id"
            :of="said"
            :today="today"
            :model-value="lane.kept.series"
            @update:model-value="onChosen(() => $event)"
          />
          <SeriesRows
            v-if="lane.kept.series.rows.length"
            :of="said"
            :lane="lane"
            :row="row"
            :today="today"
            :minutes-of="minutesOf"
            @choose="row = $event"
            @days="(id, own) => lane && setDays(lane.kept.id, id, own)"
            @move="(id, to) => onChosen((s) => moved(s, id, to))"
            @fill="fill"
            @take-out="(id) => onChosen((s) => ({ ...s, rows: s.rows.filter((r) => r.id !== id) }))"
            @others="otherwise"
          />
          <AddRows v-if="said.mayChange" :has="has" @add="add" />
        </section>
        <SeriesLanes
          :of="said"
          :lanes="lanes"
          :chosen="lane?.kept.id ?? null"
          :row="row"
          :today="today"
          @choose="choose"
          @days="setDays"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.split {
  display: grid;
  grid-template-columns: minmax(0, 2.4fr) minmax(14rem, 25rem);
  gap: 1.25rem;
  align-items: start;
}
@media (max-width: 1180px) {
  .split {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

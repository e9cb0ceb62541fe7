<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Weekday } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import ClockField from '~/shared/fields/ClockField.vue'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useToday } from '~/shared/session/today'
import { WEEKDAY_WORDS } from '~/shared/words/times'

/** When a class meets: rows of day, start and minutes; dates from and through only where they are wanted. */
const props = defineProps<{ year: SchoolYear }>()
const rows = defineModel<readonly PatternRow[]>({ required: true })
const today = useToday()
const marks = computed(() => marksOf(props.year))
const days = computed(() => [
  ...(props.year.rotation?.labels ?? []).map((l) => ({ label: `${l} days`, value: `label ${l}` })),
  ...props.year.weekdays.map((w) => ({ label: WEEKDAY_WORDS[w - 1] as string, value: `weekday ${w}` })),
])
const dayKey = (r: PatternRow) => ('label' in r.day ? `label ${r.day.label}` : `weekday ${r.day.weekday}`)
const dayOf = (key: string): PatternRow['day'] =>
  key.startsWith('label ') ? { label: key.slice(6) } : { weekday: Number(key.slice(8)) as Weekday }
const patch = (at: number, part: Partial<PatternRow>) => {
  rows.value = rows.value.map((r, i) => (i === at ? { ...r, ...part } : r))
}

const isSame = computed(() => new Set(rows.value.map((r) => `${r.startMinute} ${r.minutes}`)).size <= 1)
const wantsOwnTimes = ref(!isSame.value)
const first = computed(() => rows.value[0] ?? null)
/** One start and length for every meeting. */
function setAll(part: Partial<Pick<PatternRow, 'startMinute' | 'minutes'>>): void {
  const { startMinute = 510, minutes = 50 } = { ...first.value, ...part }
  rows.value = rows.value.map((r) => ({ ...r, startMinute, minutes }))
}
function setOwnTimes(wanted: boolean): void {
  wantsOwnTimes.value = wanted
  if (!wanted) setAll({})
}

const dated = ref<ReadonlySet<number>>(new Set())
const hasDates = (r: PatternRow, at: number) =>
  r.fromOn !== undefined || r.throughOn !== undefined || dated.value.has(at)
/** A row that holds for a part of the year only: from a day on, through a day, or both. */
function bound(at: number, field: 'fromOn' | 'throughOn', on: string | null | undefined): void {
  rows.value = rows.value.map((row, i) => {
    if (i !== at) return row
    const { [field]: _, ...rest } = row
    return on ? { ...rest, [field]: on } : rest
  })
}

function add(): void {
  const last = rows.value.at(-1)
  const used = new Set(rows.value.map(dayKey))
  const next = days.value.find((d) => !used.has(d.value)) ?? days.value[0]
  if (!next) return
  const { startMinute = 510, minutes = 50 } = last ?? {}
  rows.value = [...rows.value, { day: dayOf(next.value), startMinute, minutes }]
}
function remove(at: number): void {
  rows.value = rows.value.filter((_, i) => i !== at)
  dated.value = new Set()
}
const minutesOf = (value: unknown) => Math.trunc(Number(value))
</script>

<template>
  <fieldset class="grid gap-2" data-hook="pattern">
    <legend class="text-sm font-semibold mb-1">Meets on</legend>
    <div v-if="first" class="flex gap-2 items-center flex-wrap">
      <template v-if="!wantsOwnTimes">
        <span class="said">Every meeting at</span>
        <ClockField
          :model-value="first.startMinute"
          label="Start of every meeting"
          name="start-all"
          class="w-28"
          @update:model-value="typeof $event === 'number' && setAll({ startMinute: $event })"
        />
        <span class="said">for</span
        ><UInput
          type="number"
          class="!w-20"
          min="5"
          name="minutes-all"
          :model-value="first.minutes"
          aria-label="Minutes of every meeting"
          @update:model-value="setAll({ minutes: minutesOf($event) })"
        /><span class="said">min</span>
      </template>
      <UCheckbox
        v-if="rows.length > 1"
        label="Same time for all"
        :model-value="!wantsOwnTimes"
        data-hook="same-time"
        @update:model-value="setOwnTimes($event !== true)"
      />
    </div>
    <div v-for="(r, i) in rows" :key="i" class="flex gap-2 items-center flex-wrap" data-hook="pattern-row">
      <USelect
        class="w-32"
        :items="days"
        :model-value="dayKey(r)"
        :aria-label="`Day of meeting ${i + 1}`"
        @update:model-value="patch(i, { day: dayOf($event) })"
      />
      <template v-if="wantsOwnTimes">
        <span class="said">at</span
        ><ClockField
          class="w-28"
          :model-value="r.startMinute"
          :label="`Start of meeting ${i + 1}`"
          @update:model-value="typeof $event === 'number' && patch(i, { startMinute: $event })"
        />
        <span class="said">for</span
        ><UInput
          type="number"
          class="!w-20"
          min="5"
          :model-value="r.minutes"
          :aria-label="`Minutes of meeting ${i + 1}`"
          @update:model-value="patch(i, { minutes: minutesOf($event) })"
        /><span class="said">min</span>
      </template>
      <template v-if="hasDates(r, i)">
        <DayField
          v-for="f in ['fromOn', 'throughOn'] as const"
          :key="f"
          class="w-44"
          :model-value="r[f]"
          :label="`${f === 'fromOn' ? 'First' : 'Last'} day of meeting ${i + 1}; empty: all year`"
          :today="today"
          :min="year.firstOn"
          :max="year.lastOn"
          :marks="marks"
          may-be-empty
          @update:model-value="bound(i, f, $event)"
        />
      </template>
      <UButton
        v-else
        size="xs"
        color="neutral"
        variant="ghost"
        :aria-label="`Only part of the year: meeting ${i + 1}`"
        @click="
          () => {
            dated = new Set([...dated, i])
          }
        "
        >only part of the year</UButton
      >
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove meeting ${i + 1}`"
        @click="remove(i)"
      />
    </div>
    <p v-if="rows.some(hasDates)" class="said max-w-2xl">
      When times change in the middle of the year, end the old row and begin a new one, so that what was
      taught stays where it was.
    </p>
    <UButton
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-plus"
      data-hook="add-meeting"
      @click="add"
      >Another meeting</UButton
    >
  </fieldset>
</template>

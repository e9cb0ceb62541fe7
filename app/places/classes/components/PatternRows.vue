<script setup lang="ts">
import { computed } from 'vue'
import { parseIsoDay } from '#core/base'
import type { Weekday } from '#core/base'
import type { PatternRow, SchoolYear } from '#core/calendar'
import { clockText, readClock, WEEKDAY_WORDS } from '~/shared/words/times'

const props = defineProps<{ year: SchoolYear }>()
const rows = defineModel<readonly PatternRow[]>({ required: true })
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
function add(): void {
  const last = rows.value.at(-1)
  const used = new Set(rows.value.map(dayKey))
  const next = days.value.find((d) => !used.has(d.value)) ?? days.value[0]
  if (next)
    rows.value = [
      ...rows.value,
      { day: dayOf(next.value), startMinute: last?.startMinute ?? 510, minutes: last?.minutes ?? 50 },
    ]
}
/** A row that holds for a part of the year only: from a day on, through a day, or both. */
function bound(at: number, field: 'fromOn' | 'throughOn', text: unknown): void {
  rows.value = rows.value.map((row, i) => {
    if (i !== at) return row
    const { [field]: _, ...rest } = row
    const on = parseIsoDay(String(text))
    return on ? { ...rest, [field]: on } : rest
  })
}
const remove = (at: number) => {
  rows.value = rows.value.filter((_, i) => i !== at)
}
</script>

<template>
  <fieldset class="grid gap-1.5" data-hook="pattern">
    <legend class="text-sm font-semibold mb-1">Meets on</legend>
    <div v-for="(r, i) in rows" :key="i" class="flex gap-2 items-center flex-wrap">
      <USelect
        class="w-32"
        :items="days"
        :model-value="dayKey(r)"
        :aria-label="`Day of meeting ${i + 1}`"
        @update:model-value="patch(i, { day: dayOf(String($event)) })"
      />
      <span class="said">at</span
      ><UInput
        type="time"
        class="!w-32"
        :model-value="clockText(r.startMinute)"
        :aria-label="`Start of meeting ${i + 1}`"
        @update:model-value="patch(i, { startMinute: readClock(String($event)) ?? r.startMinute })"
      />
      <span class="said">for</span
      ><UInput
        type="number"
        class="!w-20"
        min="5"
        :model-value="r.minutes"
        :aria-label="`Minutes of meeting ${i + 1}`"
        @update:model-value="patch(i, { minutes: Math.trunc(Number($event)) })"
      /><span class="said">min</span>
      <label class="said flex gap-1.5 items-center"
        >from
        <UInput
          type="date"
          class="!w-38"
          :min="year.firstOn"
          :max="year.lastOn"
          :model-value="r.fromOn"
          :aria-label="`First day of meeting ${i + 1}; empty: all year`"
          @update:model-value="bound(i, 'fromOn', $event)"
      /></label>
      <label class="said flex gap-1.5 items-center"
        >through
        <UInput
          type="date"
          class="!w-38"
          :min="year.firstOn"
          :max="year.lastOn"
          :model-value="r.throughOn"
          :aria-label="`Last day of meeting ${i + 1}; empty: all year`"
          @update:model-value="bound(i, 'throughOn', $event)"
      /></label>
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove meeting ${i + 1}`"
        @click="remove(i)"
      />
    </div>
    <p class="said">
      Without dates a meeting holds all year. When times change in the middle of the year, end the old row and
      begin a new one, so that what was taught stays where it was.
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

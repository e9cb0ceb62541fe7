<script setup lang="ts">
import { computed, ref } from 'vue'
import { addDays, dayNumber } from '#core/base'
import type { IsoDay } from '#core/base'
import { countDays } from '#core/calendar'
import type { SchoolYear } from '#core/calendar'
import { count } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'
import { picturedMonths } from '../../yearPicture'
import type { PicturedDay } from '../../yearPicture'

/**
 * The year as it stands in the form: a row a month, a cell a day. Days are closed by dragging across them, or
 * by keys.
 */
const props = defineProps<{ year: SchoolYear; today: IsoDay; mayChange: boolean }>()
const emit = defineEmits<{ close: [fromOn: IsoDay, throughOn: IsoDay] }>()

const months = computed(() => picturedMonths(props.year))
const counts = computed(() => countDays(props.year))
const anchor = ref<IsoDay | null>(null)
const at = ref<IsoDay>(props.today)
const dragging = ref(false)
const current = computed(() => clamp(at.value))
const range = computed(() => {
  if (anchor.value === null) return null
  return anchor.value < at.value ? [anchor.value, at.value] : [at.value, anchor.value]
})
const isIn = (on: IsoDay) => range.value !== null && range.value[0]! <= on && on <= range.value[1]!

function clamp(on: IsoDay): IsoDay {
  const { firstOn, lastOn } = props.year
  if (on < firstOn) return firstOn
  return on > lastOn ? lastOn : on
}
function start(on: IsoDay): void {
  if (!props.mayChange) return
  anchor.value = at.value = on
  dragging.value = true
}
function over(on: IsoDay): void {
  if (dragging.value) at.value = on
}
function end(): void {
  dragging.value = false
  const [fromOn, throughOn] = range.value ?? []
  anchor.value = null
  if (fromOn && throughOn) emit('close', fromOn, throughOn)
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageUp: -28, PageDown: 28 }
function key(event: KeyboardEvent): void {
  const month = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0
  const step = STEPS[event.key] ?? 0
  if (event.key === 'Escape') anchor.value = null
  else if (event.key === 'Enter' || event.key === ' ') {
    anchor.value ??= current.value
    if (props.mayChange) end()
  } else if (month || step) {
    if (event.shiftKey) anchor.value ??= current.value
    else anchor.value = null
    at.value = clamp(addDays(current.value, step || month * daysToNextMonth(current.value, month)))
    focusDay()
  } else return
  event.preventDefault()
}
/** Days to the same date of the month before or after, as near as there is one. */
function daysToNextMonth(on: IsoDay, by: number): number {
  const same = months.value.flatMap((m) => m.days).filter((d) => d.on.slice(8) <= on.slice(8))
  const wanted = addDays(on, by * 31)
  const near = same.reduce((best, d) => {
    const isNearer =
      Math.abs(dayNumber(d.on) - dayNumber(wanted)) < Math.abs(dayNumber(best) - dayNumber(wanted))
    return d.on.slice(8) === on.slice(8) && isNearer ? d.on : best
  }, wanted)
  return Math.abs(dayNumber(near) - dayNumber(on))
}
function focusDay(): void {
  requestAnimationFrame(() => document.getElementById(`day-${current.value}`)?.focus())
}
function sayOf(d: PicturedDay): string {
  const what = d.closedBy ?? (d.isSchoolDay ? (d.label ? `${d.label} day` : 'school') : 'no school day')
  return `${sayDay(d.on)}: ${what}${d.termStarts ? `, ${d.termStarts} begins` : ''}`
}
const sayLetters = (byLabel: Readonly<Record<string, number>>) =>
  Object.entries(byLabel)
    .map(([label, days]) => `${label} ${days}`)
    .join(' · ')
</script>

<template>
  <section class="grid gap-3" aria-labelledby="year-picture" data-hook="year-picture">
    <div>
      <h2 id="year-picture">The year as it stands</h2>
      <p class="said">
        <template v-if="mayChange"
          >Drag across days to close them. By keys: arrows, Shift to take more, Enter. </template
        >Hatched: closed.
      </p>
    </div>
    <div
      class="picture"
      role="grid"
      aria-label="Days of the year"
      @keydown="key"
      @pointerup="dragging && end()"
      @pointerleave="dragging && end()"
    >
      <div v-for="m in months" :key="m.key" class="month" role="row">
        <span class="name" role="rowheader">{{ m.name }}</span>
        <span v-if="m.lead" class="lead" :style="{ gridColumn: `span ${m.lead}` }" role="presentation" />
        <span
          v-for="d in m.days"
          :id="`day-${d.on}`"
          :key="d.on"
          role="gridcell"
          class="day"
          :class="{
            off: !d.isSchoolDay,
            closed: d.closedBy !== null && d.isSchoolDay,
            term: d.termStarts !== null,
            now: d.on === today,
            taken: isIn(d.on),
          }"
          :tabindex="d.on === current ? 0 : -1"
          :aria-label="sayOf(d)"
          :title="sayOf(d)"
          @pointerdown.prevent="start(d.on)"
          @pointerenter="over(d.on)"
          >{{ d.label ?? '' }}</span
        >
      </div>
    </div>
    <p v-if="range" class="said" role="status">
      {{ sayDay(range[0]!) }}<template v-if="range[1] !== range[0]"> to {{ sayDay(range[1]!) }}</template>
    </p>
    <table class="grid-table !w-auto" data-hook="day-counts">
      <thead>
        <tr>
          <th scope="col">Term</th>
          <th scope="col">School days</th>
          <th v-if="year.rotation" scope="col">By letter</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="t in counts.terms" :key="t.name">
          <th scope="row">{{ t.name }}</th>
          <td>{{ t.days }}</td>
          <td v-if="year.rotation">{{ sayLetters(t.byLabel) }}</td>
        </tr>
        <tr>
          <th scope="row">Whole year</th>
          <td>{{ count(counts.all.days, 'day') }}</td>
          <td v-if="year.rotation">{{ sayLetters(counts.all.byLabel) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.picture {
  display: grid;
  gap: 2px;
  touch-action: none;
  user-select: none;
  overflow-x: auto;
}
.month {
  display: grid;
  grid-template-columns: 2.4rem repeat(31, minmax(1.05rem, 1fr));
  gap: 1px;
  align-items: stretch;
}
.name {
  font-size: 0.8rem;
  color: var(--ui-text-muted);
  align-self: center;
}
.day {
  display: grid;
  place-items: center;
  height: 1.6rem;
  font-size: 0.72rem;
  background: var(--stone-face);
  border-radius: 2px;
  cursor: pointer;
  color: var(--ui-text);
}
.off {
  background: transparent;
  color: var(--ui-text-muted);
}
.closed {
  background: var(--hatch);
}
.term {
  box-shadow: inset 2px 0 0 var(--ui-primary);
}
.now {
  box-shadow: inset 0 0 0 2px var(--today);
}
.taken {
  background: color-mix(in oklab, var(--ui-primary) 35%, transparent);
}
.day:focus-visible {
  outline-offset: 0;
  z-index: 1;
}
</style>

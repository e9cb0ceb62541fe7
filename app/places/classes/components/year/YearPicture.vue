<script setup lang="ts">
import { computed, ref } from 'vue'
import { addDays } from '#core/base'
import type { IsoDay } from '#core/base'
import { countDays } from '#core/calendar'
import type { DayNote, SchoolYear } from '#core/calendar'
import { count } from '~/shared/words/numbers'
import { sayDate, sayDay } from '~/shared/words/times'
import { dayFrom, picturedWeeks } from '../../yearPicture'
import type { PicturedDay } from '../../yearPicture'

/**
 * The year as it stands in the form: a row a week, in two halves beside each other, a cell a school day. Days are
 * closed by dragging across them, or by keys. The days of the note whose row has the focus are framed.
 */
const props = defineProps<{
  year: SchoolYear
  today: IsoDay
  mayChange: boolean
  framed?: Pick<DayNote, 'fromOn' | 'throughOn'> | null
}>()
const emit = defineEmits<{ close: [fromOn: IsoDay, throughOn: IsoDay] }>()

const weeks = computed(() => picturedWeeks(props.year))
const halves = computed(() => {
  const middle = Math.ceil(weeks.value.length / 2)
  return [weeks.value.slice(0, middle), weeks.value.slice(middle)].filter((h) => h.length > 0)
})
const counts = computed(() => countDays(props.year))
const anchor = ref<IsoDay | null>(null)
const at = ref<IsoDay>(props.today)
const dragging = ref(false)
const current = computed(() => nearest(at.value))
const range = computed(() => {
  if (anchor.value === null) return null
  return anchor.value < at.value ? [anchor.value, at.value] : [at.value, anchor.value]
})
const isIn = (on: IsoDay) => range.value !== null && range.value[0]! <= on && on <= range.value[1]!

/** The day itself where it stands in the picture, else the next one that does. */
const nearest = (on: IsoDay) => dayFrom(weeks.value, addDays(on, -1), 1)
const isFramed = (on: IsoDay) =>
  Boolean(props.framed && props.framed.fromOn <= on && on <= props.framed.throughOn)
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

const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowRight: 1,
  ArrowUp: -7,
  ArrowDown: 7,
  PageUp: -28,
  PageDown: 28,
}
function key(event: KeyboardEvent): void {
  const step = STEPS[event.key]
  if (event.key === 'Escape') anchor.value = null
  else if (event.key === 'Enter' || event.key === ' ') {
    anchor.value ??= current.value
    if (props.mayChange) end()
  } else if (step) {
    if (event.shiftKey) anchor.value ??= current.value
    else anchor.value = null
    at.value = dayFrom(weeks.value, current.value, step)
    focusDay()
  } else return
  event.preventDefault()
}
function focusDay(): void {
  requestAnimationFrame(() => document.getElementById(`day-${current.value}`)?.focus())
}
function sayOf(d: PicturedDay): string {
  const what = d.closedBy ?? (d.label ? `${d.label} day` : 'school')
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
        >Hatched: closed. A red frame: today.
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
      <div v-for="half in halves" :key="half[0]!.mondayOn" role="rowgroup" class="half">
        <div v-for="w in half" :key="w.mondayOn" class="week" role="row">
          <span class="name" role="rowheader">{{ sayDate(w.mondayOn) }}</span>
          <template v-for="(d, i) in w.days" :key="i">
            <span v-if="!d" role="gridcell" />
            <span
              v-else
              :id="`day-${d.on}`"
              role="gridcell"
              class="day"
              :class="{
                closed: d.closedBy !== null,
                term: d.termStarts !== null,
                now: d.on === today,
                framed: isFramed(d.on),
                taken: isIn(d.on),
              }"
              :tabindex="d.on === current ? 0 : -1"
              :aria-label="sayOf(d)"
              :title="sayOf(d)"
              @pointerdown.prevent="start(d.on)"
              @pointerenter="over(d.on)"
              >{{ d.label ?? '' }}</span
            >
          </template>
        </div>
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
  display: flex;
  flex-wrap: wrap;
  gap: 2px 1rem;
  touch-action: none;
  user-select: none;
}
.half {
  display: grid;
  gap: 2px;
  align-content: start;
}
.week {
  display: grid;
  grid-template-columns: 3.2rem;
  grid-auto-flow: column;
  grid-auto-columns: 1.625rem;
  gap: 2px;
}
.name {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  align-self: center;
  white-space: nowrap;
}
.day {
  display: grid;
  place-items: center;
  height: 1.55rem;
  font-size: var(--text-xs);
  background: var(--stone-face);
  border: 1px solid var(--ui-border-muted);
  border-radius: 2px;
  cursor: pointer;
  color: var(--ui-text);
}
.closed {
  background: var(--hatch);
}
.term {
  box-shadow: inset 3px 0 0 var(--ui-primary);
}
.now {
  box-shadow: inset 0 0 0 2px var(--today);
}
.framed {
  border-color: var(--ui-primary);
  box-shadow: inset 0 0 0 2px var(--ui-primary);
}
.taken {
  background: color-mix(in oklab, var(--ui-primary) 35%, transparent);
}
.day:focus-visible {
  outline-offset: 0;
  z-index: 1;
}
</style>

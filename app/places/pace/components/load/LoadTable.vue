<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { IsoDay, UserId } from '#core/base'
import type { ClassLoad } from '#shared/contracts/load'
import { useGridKeys } from '~/shared/frame/gridKeys'
import { count } from '~/shared/words/numbers'
import { sayDate } from '~/shared/words/times'
import { useRowsInTurn } from '../../composables/rowsInTurn'

/** Learners × weeks: minutes as figures on a ground that gets deeper with them, whoever carries most soon on top. */
const props = defineProps<{
  of: ClassLoad
  thisWeek: IsoDay | null
  chosen: { readonly learnerId: UserId; readonly week: IsoDay } | null
}>()
const emit = defineEmits<{ choose: [learnerId: UserId, week: IsoDay] }>()
/** So many weeks from this one on decide who stands on top. */
const SOON = 3
const weeks = computed(() => props.of.load.weeks)
const now = computed(() => weeks.value.findIndex((w) => w === props.thisWeek))
const names = computed(() => new Map(props.of.learners.map((l) => [l.id, l.name])))
const soonOf = (minutes: readonly number[]) =>
  minutes.slice(Math.max(0, now.value), Math.max(0, now.value) + SOON).reduce((a, b) => a + b, 0)
const rows = computed(() =>
  props.of.load.learners
    .map((l) => ({ ...l, name: names.value.get(l.learnerId) ?? '', soon: soonOf(l.weeks) }))
    .sort((a, b) => b.soon - a.soon || a.name.localeCompare(b.name)),
)
/** Weeks over a limit, by learner, as the server found them. */
const over = computed(
  () =>
    new Set(
      props.of.cautions.flatMap((c) =>
        c.kind === 'minutes-in-week' || c.kind === 'pieces-in-week' ? [`${c.learnerId} ${c.on}`] : [],
      ),
    ),
)
const isTooMuch = (learnerId: UserId, week: IsoDay) => over.value.has(`${learnerId} ${week}`)
const depth = (minutes: number) => Math.min(1, minutes / (props.of.limits.minutesPerWeek ?? 240))
const ground = (minutes: number) =>
  minutes < 0.5
    ? undefined
    : `color-mix(in oklab, var(--ui-primary) ${Math.round(4 + 26 * depth(minutes))}%, var(--ui-bg))`
function say(l: (typeof rows.value)[number], i: number): string {
  const week = weeks.value[i] as IsoDay
  const much = isTooMuch(l.learnerId, week) ? ', over the limit' : ''
  const minutes = count(Math.round(l.weeks[i] ?? 0), 'minute')
  return `${l.name}, week of ${sayDate(week)}: ${minutes}, ${count(l.pieces[i] ?? 0, 'piece')}${much}`
}
const { isDrawn } = useRowsInTurn(
  computed(() => rows.value.length),
  ref(0),
  { first: 26, batch: 20 },
)
const { isStop, move, stopAt } = useGridKeys(() => ({ rows: rows.value.length, columns: weeks.value.length }))
const table = useTemplateRef<HTMLElement>('table')
onMounted(() => {
  stopAt(0, Math.max(0, now.value))
  table.value?.querySelector('th.now')?.scrollIntoView({ block: 'nearest', inline: 'center' })
})
</script>

<template>
  <div class="scroller" tabindex="0" role="region" aria-label="Learners and weeks">
    <table ref="table" class="grid-table" data-hook="load-table">
      <thead>
        <tr>
          <th scope="col" class="name">Learner</th>
          <th v-for="w in weeks" :key="w" scope="col" :class="{ now: w === thisWeek }">{{ sayDate(w) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(l, row) in rows" :key="l.learnerId">
          <th scope="row" class="name">{{ l.name }}</th>
          <td v-if="!isDrawn(row)" :colspan="weeks.length" class="waits" />
          <td
            v-for="(minutes, i) in isDrawn(row) ? l.weeks : []"
            :key="i"
            :style="{ background: ground(minutes) }"
          >
            <button
              type="button"
              data-cell
              :class="{ much: isTooMuch(l.learnerId, weeks[i]!) }"
              :tabindex="isStop(row, i) ? 0 : -1"
              :aria-pressed="chosen?.learnerId === l.learnerId && chosen.week === weeks[i]"
              :aria-label="say(l, i)"
              @keydown="move"
              @focus="stopAt(row, i)"
              @click="emit('choose', l.learnerId, weeks[i]!)"
            >
              {{ minutes < 0.5 ? '' : Math.round(minutes) }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroller {
  overflow: auto;
  max-height: 75vh;
  scroll-padding: 3rem 1rem 1rem 13rem;
}
/* a row that is not drawn yet holds its place */
.waits {
  height: 1.9rem;
}
table {
  width: auto;
  border-collapse: separate;
  border-spacing: 0;
}
th.name {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--ui-bg);
  text-align: left;
  min-width: 11rem;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--ui-bg);
  white-space: nowrap;
  font-weight: 500;
}
thead th.name {
  z-index: 2;
}
th.now {
  color: var(--ui-primary);
  font-weight: 700;
  border-bottom: 2px solid var(--ui-primary);
}
td {
  padding: 0;
}
button {
  width: 100%;
  min-width: 3.6rem;
  min-height: 1.9rem;
  font-variant-numeric: tabular-nums;
}
button.much {
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ui-error);
}
button[aria-pressed='true'] {
  box-shadow: inset 0 0 0 2px var(--ui-primary);
}
</style>

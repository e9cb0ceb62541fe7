<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import type { IsoDay, UserId } from '#core/base'
import type { ClassLoad } from '#shared/contracts/load'
import { useGridKeys } from '~/shared/frame/gridKeys'
import { sayDate } from '~/shared/words/times'
import { useRowsInTurn } from '../../composables/rowsInTurn'
import LoadRow from './LoadRow.vue'

/** Learners × weeks: minutes as figures on a ground that gets deeper with them, whoever carries most soon on top. */
const props = defineProps<{
  of: ClassLoad
  thisWeek: IsoDay | null
  chosen: { readonly learnerId: UserId; readonly week: IsoDay } | null
}>()
const emit = defineEmits<{ choose: [learnerId: UserId, week: IsoDay] }>()
/** So many weeks from this one on decide who stands on top. */
const SOON = 3
const weeks = computed(() => props.of.weeks)
const dates = computed(() => weeks.value.map(sayDate))
const now = computed(() => weeks.value.findIndex((w) => w === props.thisWeek))
const soonOf = (minutes: readonly number[]) =>
  minutes.slice(Math.max(0, now.value), Math.max(0, now.value) + SOON).reduce((a, b) => a + b, 0)
const rows = computed(() =>
  props.of.learners
    .map((l) => ({ ...l, soon: soonOf(l.minutes) }))
    .sort((a, b) => b.soon - a.soon || a.name.localeCompare(b.name)),
)
/** The ground is deepest where there is most, so that small figures can be told apart as well. */
const most = computed(() => Math.max(1, ...props.of.learners.flatMap((l) => l.minutes)))
const chosenWeek = computed(() => weeks.value.findIndex((w) => w === props.chosen?.week))
const { isDrawn } = useRowsInTurn(
  computed(() => rows.value.length),
  ref(0),
  { first: 16, batch: 20 },
)
const drawn = computed(() => rows.value.filter((_, i) => isDrawn(i)))
const { columnIn, move, stopAt } = useGridKeys(() => ({
  rows: rows.value.length,
  columns: weeks.value.length,
}))
const table = useTemplateRef<HTMLElement>('table')
onMounted(() => {
  stopAt(0, Math.max(0, now.value))
  showNow()
})
/** Scrolls to this week by hand: a browser goes on by Tab from where an element was scrolled into view. */
function showNow(): void {
  const [week, scroller] = [table.value?.querySelector<HTMLElement>('th.now'), table.value?.parentElement]
  if (!week || !scroller) return
  scroller.scrollLeft = week.offsetLeft - (scroller.clientWidth - week.offsetWidth) / 2
}
</script>

<template>
  <div class="scroller" tabindex="0" role="region" aria-label="Learners and weeks">
    <table ref="table" class="grid-table" data-hook="load-table">
      <thead>
        <tr>
          <th scope="col" class="name">Learner</th>
          <th v-for="(w, i) in weeks" :key="w" scope="col" :class="{ now: w === thisWeek }">
            {{ dates[i] }}
          </th>
        </tr>
      </thead>
      <tbody>
        <LoadRow
          v-for="(l, row) in drawn"
          :key="l.id"
          :of="l"
          :dates="dates"
          :most="most"
          :stop="columnIn(row)"
          :chosen="chosen?.learnerId === l.id ? chosenWeek : null"
          @choose="emit('choose', l.id, weeks[$event]!)"
          @stop="stopAt(row, $event)"
          @move="move"
        />
        <tr v-if="drawn.length < rows.length" aria-hidden="true">
          <td :colspan="weeks.length + 1" :style="{ height: `${2.2 * (rows.length - drawn.length)}rem` }" />
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
table {
  width: max-content;
  table-layout: fixed;
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
</style>

<script setup lang="ts">
import { computed, nextTick, useTemplateRef } from 'vue'
import { weekdayOf } from '#core/base'
import type { IsoDay, ResourceId } from '#core/base'
import type { PlacedStone } from '#core/placing'
import type { Placing } from '#shared/contracts/placing'
import { useGridKeys } from '~/shared/frame/gridKeys'
import { count } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'
import { byCell } from '../../desk/placedCells'
import PlaceCell from './PlaceCell.vue'

/** Days down, classes and groups across: what learners have from which day on. */
const props = defineProps<{
  of: Placing
  today: IsoDay
  /** A piece that was taken in hand: it is laid where somebody clicks, or presses Enter. */
  hand: string | null
  /** What it is called. */
  inHand: string | null
}>()
const emit = defineEmits<{
  lay: [pieceId: ResourceId, on: IsoDay, byKeys: boolean]
  putDown: []
  move: [stone: PlacedStone, key: string, on: IsoDay]
  take: [stone: PlacedStone, key: string | null]
}>()
const cells = computed(() => byCell(props.of))
const openDays = computed(() => props.of.days.filter((d) => d.closedBy === null).map((d) => d.on))
const {
  at: stop,
  isStop,
  move,
  stopAt,
} = useGridKeys(() => ({
  rows: openDays.value.length,
  columns: props.of.columns.length,
}))
const meets = computed(() => new Map(props.of.columns.map((c) => [c.key, new Set<string>(c.meetingDays)])))
const table = useTemplateRef<HTMLElement>('table')
/** One school day later or earlier; the focus goes along. */
function step(stone: PlacedStone, key: string, from: IsoDay, by: 1 | -1): void {
  const row = openDays.value.indexOf(from) + by
  const on = openDays.value[row]
  if (!on) return
  const column = props.of.columns.findIndex((c) => c.key === key)
  stopAt(row, column)
  emit('move', stone, key, on)
}
/** After a stone has moved, the focus is where it lies now. */
function focusOn(stone: PlacedStone, key: string): void {
  table.value?.querySelector<HTMLElement>(`[data-stone="${stone.assignmentId} ${key}"]`)?.focus()
}
/** The grid takes the focus, on the first day that is not past; what is in hand is laid from there. */
function takeFocus(): void {
  const [row] = stop.value
  const on = openDays.value[row]
  if (on === undefined || on < props.today) {
    const next = openDays.value.findIndex((d) => d >= props.today)
    stopAt(Math.max(0, next), stop.value[1])
  }
  void nextTick(() => table.value?.querySelector<HTMLElement>('[data-cell][tabindex="0"]')?.focus())
}
const isMonday = (on: IsoDay) => weekdayOf(on) === 1
defineExpose({ focusOn, takeFocus })
</script>

<template>
  <div class="whole">
    <p class="said legend" role="status" data-hook="in-hand">
      <template v-if="inHand"
        ><b>In hand: {{ inHand }}.</b> Choose its day by arrows or a press. Enter lays it, Escape puts it
        down.</template
      >
      <template v-else
        >A frame: laid by days, to be moved here. Broken frame: held, nobody sees it yet. No frame: it goes by
        a lesson, and is moved on its page or with the lesson.</template
      >
    </p>
    <div class="scroll" tabindex="-1">
      <table
        ref="table"
        class="place"
        role="grid"
        aria-label="Days down, classes across"
        data-hook="place-grid"
      >
        <thead>
          <tr>
            <th scope="col" class="day"><span class="sr-only">Day</span></th>
            <th v-for="c in of.columns" :key="c.key" scope="col">
              {{ c.name }} <span class="said font-normal">{{ count(c.learners, 'learner') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="d in of.days"
            :key="d.on"
            :class="{ now: d.on === today, shut: d.closedBy, week: isMonday(d.on) }"
          >
            <th scope="row" class="day">
              {{ sayDay(d.on) }}<span v-if="d.closedBy" class="said block font-normal">{{ d.closedBy }}</span>
            </th>
            <td v-if="d.closedBy" role="gridcell" :colspan="of.columns.length" />
            <template v-else>
              <PlaceCell
                v-for="(c, i) in of.columns"
                :key="c.key"
                :list="cells.get(`${d.on} ${c.key}`) ?? []"
                :column="c"
                :on="d.on"
                :meets="meets.get(c.key)?.has(d.on) ?? false"
                :is-past="d.on < today"
                :stop="isStop(openDays.indexOf(d.on), i)"
                :hand="hand"
                @enter="stopAt(openDays.indexOf(d.on), i)"
                @arrow="move"
                @lay="(piece, byKeys) => emit('lay', piece, d.on, byKeys)"
                @put-down="emit('putDown')"
                @drop="(stone, key) => emit('move', stone, key, d.on)"
                @step="(stone, by) => step(stone, c.key, d.on, by)"
                @take="(stone, key) => emit('take', stone, key)"
              />
            </template>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  /* what is only said, not shown, stays within */
  position: relative;
  overflow: auto;
  max-height: calc(100vh - 18rem);
  min-height: 20rem;
  border: 1px solid var(--ui-border);
}
.whole {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.4rem;
}
.legend {
  min-height: 2.6em;
}
.place {
  width: 100%;
  border-collapse: separate;
  border-spacing: 0;
  table-layout: fixed;
  min-width: calc(6rem + 9rem * var(--columns, 3));
  font-size: var(--text-xs);
}
th {
  text-align: left;
  vertical-align: top;
  padding: 0.35rem 0.5rem;
  font-weight: 600;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--ui-bg);
  border-bottom: 1px solid var(--line);
}
.day {
  width: 6rem;
  white-space: nowrap;
  border-bottom: 1px solid var(--ui-border);
}
.week > * {
  border-top: 2px solid var(--line);
}
.now .day {
  color: var(--today);
  box-shadow: inset 3px 0 0 var(--today);
}
.shut .day {
  color: var(--ui-text-muted);
}
.shut td {
  background: var(--hatch);
  border-bottom: 1px solid var(--ui-border);
}
</style>

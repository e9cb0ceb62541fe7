<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { pieceName } from '#core/attempts'
import type { AssignmentId, Instant, PieceId, UserId } from '#core/base'
import type { ClassGrid, GridColumn } from '#shared/contracts/evidence'
import type { ChosenCells } from '../composables/choosing'
import { isBelow, sayCell, textOf, toneOf } from '../cellWords'
import { useGridKeys } from '~/shared/frame/gridKeys'
import { percent } from '~/shared/words/numbers'
import { sayDate, zoneNamed } from '~/shared/words/times'

/** `chosen`: an assignment and, where one is named, a piece of it. */
const props = defineProps<{
  grid: ClassGrid
  chosen: { readonly work: AssignmentId | null; readonly piece: PieceId | null }
  cells: ChosenCells | null
}>()
const emit = defineEmits<{
  choose: [of: GridColumn]
  cell: [of: GridColumn, learnerId: UserId, isMore: boolean]
}>()
const { isStop, move, stopAt } = useGridKeys(() => ({
  rows: props.grid.learners.length,
  columns: props.grid.columns.length,
}))
const table = useTemplateRef<HTMLElement>('table')
// what opens beside the grid must not hide the cell that was pressed
watch(
  () => props.cells,
  async (cells) => {
    await nextTick()
    if (cells) table.value?.querySelector('.taken')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
)
const isTaken = (c: GridColumn, learnerId: UserId) =>
  props.cells !== null &&
  pieceName(props.cells.piece) === pieceName(c) &&
  props.cells.learnerIds.includes(learnerId)
const isChosen = (c: GridColumn) =>
  c.assignmentId === props.chosen.work && (props.chosen.piece ?? c.pieceId) === c.pieceId
const byName = computed(() => new Map(props.grid.cells.map((c) => [`${pieceName(c)} ${c.learnerId}`, c])))
const cellOf = (learnerId: string, of: GridColumn) => byName.value.get(`${pieceName(of)} ${learnerId}`)
const due = (at: number | null) =>
  at === null ? '' : sayDate(zoneNamed(props.grid.zone).local((at - 1) as Instant).on)
</script>

<template>
  <div class="scroller" tabindex="0" role="region" aria-label="Learners and their work">
    <table ref="table" class="grid-table evidence">
      <thead>
        <tr>
          <th scope="col" class="name">Learner</th>
          <th
            v-for="c in grid.columns"
            :key="pieceName(c)"
            scope="col"
            class="work"
            :class="{ chosen: isChosen(c) }"
          >
            <button
              type="button"
              :aria-pressed="isChosen(c)"
              :disabled="c.isRead && !c.takesFiles"
              :title="`${c.isRead ? 'Files' : 'Items'} of ${c.title}`"
              data-hook="column"
              @click="emit('choose', c)"
            >
              {{ c.title.replace(/^(Check|Practice): /, '')
              }}<span v-if="c.pieceTitle" class="part">{{ c.pieceTitle }}</span>
            </button>
            <span class="said">due {{ due(c.dueAt) || 'any time' }}</span>
            <span v-if="c.category || c.passPercent !== null" class="said"
              >{{ c.category }}{{ c.category && c.passPercent !== null ? ', ' : ''
              }}{{ c.passPercent === null ? '' : `pass ${c.passPercent} %` }}</span
            >
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(l, row) in grid.learners" :key="l.id">
          <th scope="row" class="name">{{ l.name }}</th>
          <td
            v-for="(c, at) in grid.columns"
            :key="pieceName(c)"
            :class="[toneOf(cellOf(l.id, c)), { taken: isTaken(c, l.id) }]"
          >
            <button
              type="button"
              class="cell"
              data-cell
              :tabindex="isStop(row, at) ? 0 : -1"
              :aria-pressed="isTaken(c, l.id)"
              :aria-label="sayCell(l.name, c, cellOf(l.id, c))"
              @keydown="move"
              @focus="stopAt(row, at)"
              @click="emit('cell', c, l.id, $event.ctrlKey || $event.metaKey)"
            >
              {{ textOf(cellOf(l.id, c), c) }}<span v-if="cellOf(l.id, c)?.late" class="late">late</span
              ><span v-if="isBelow(cellOf(l.id, c))" class="late">not passed</span
              ><span v-if="cellOf(l.id, c)?.toScore" class="late">to score</span
              ><span v-if="cellOf(l.id, c)?.isParallel" class="late">other task</span
              ><sup v-if="(cellOf(l.id, c)?.attempts ?? 0) > 1" class="tries"
                >×{{ cellOf(l.id, c)?.attempts }}</sup
              >
            </button>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" class="name">Handed in</th>
          <td v-for="c in grid.columns" :key="pieceName(c)">{{ c.handedIn }} of {{ c.reached }}</td>
        </tr>
        <tr>
          <th scope="row" class="name">Mean</th>
          <td v-for="c in grid.columns" :key="pieceName(c)">
            <b>{{ c.mean === null ? '' : percent(c.mean) }}</b>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.scroller {
  overflow: auto;
  max-height: 100%;
  /* what stays at the edges covers nothing that is come to by keys; the browser does not move what shows 32 px */
  scroll-padding: 4rem 3.5rem 5rem 15rem;
}
.evidence {
  width: auto;
}
th.work button:disabled {
  text-decoration: none;
  color: inherit;
  cursor: default;
}
.part {
  display: block;
  font-weight: 400;
  font-size: 0.8rem;
}
.evidence th.name {
  position: sticky;
  left: 0;
  z-index: 2;
  background: var(--ui-bg);
  min-width: 11rem;
  font-weight: 600;
  white-space: nowrap;
  border-right: 1px solid var(--ui-border);
}
.evidence thead th {
  vertical-align: bottom;
}
.evidence thead th.name {
  z-index: 3;
}
.work {
  min-width: 5.6rem;
  max-width: 7rem;
}
.work button {
  text-align: left;
  font-weight: 600;
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 2px;
  cursor: pointer;
  line-height: 1.2;
  display: block;
}
.work button::first-letter {
  text-transform: uppercase;
}
.work .said {
  display: block;
}
.work.chosen {
  box-shadow: inset 0 -3px 0 var(--ui-primary);
}
tbody td {
  padding: 0;
}
.cell {
  display: block;
  width: 100%;
  min-height: 1.8rem;
  padding: 0.25rem 0.5rem;
  text-align: left;
  cursor: pointer;
}
.taken {
  box-shadow: inset 0 0 0 2px var(--ui-primary);
}
td {
  white-space: nowrap;
  border-right: 1px solid var(--ui-border-muted);
}
td.low {
  background: var(--share-low);
}
td.high {
  background: var(--share-high);
}
td.missing {
  color: var(--ui-error);
  font-weight: 600;
}
td.in-progress {
  color: var(--ui-primary);
  font-weight: 600;
}
td.to-do,
td.not-open {
  color: var(--ui-text-muted);
}
.late {
  margin-left: 0.35rem;
  font-size: 0.78em;
  font-weight: 600;
  text-decoration: underline dotted;
  text-underline-offset: 2px;
}
.tries {
  margin-left: 0.25rem;
  font-size: 0.72em;
}
tfoot th,
tfoot td {
  position: sticky;
  bottom: 0;
  background: var(--ui-bg-muted) !important;
}
tfoot tr:first-child th,
tfoot tr:first-child td {
  bottom: 1.95rem;
  border-top: 2px solid var(--ui-border-accented);
}
</style>

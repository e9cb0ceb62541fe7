<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { pieceName } from '#core/attempts'
import type { AssignmentId, Instant, PieceId, UserId } from '#core/base'
import type { ClassGrid, GridColumn } from '#shared/contracts/evidence'
import type { ChosenCells } from '../composables/choosing'
import { sayWhole } from '../wholeWords'
import { isBelow, sayCell, sayPieceIn, textOf, toneOf } from '../cellWords'
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
/** All scores together, by the weights of the class's categories. */
const wholes = computed(
  () =>
    new Map(
      props.grid.wholes.map((w) => [
        w.learnerId,
        { text: w.ratio === null ? '' : percent(w.ratio), said: sayWhole(w) },
      ]),
    ),
)
/** What a column is about, in full: its head has room for little. */
function aboutColumn(c: GridColumn): string {
  const of = sayPieceIn(c)
  return `${c.isRead ? 'Files' : 'Items'} of ${of}${c.category ? `, ${c.category}` : ''}`
}
const due = (at: number | null) =>
  at === null ? '' : sayDate(zoneNamed(props.grid.zone).local((at - 1) as Instant).on)
</script>

<template>
  <div class="scroller" tabindex="0" role="region" aria-label="Learners and their work">
    <table ref="table" class="grid-table evidence">
      <thead>
        <tr>
          <th scope="col" class="name">Learner</th>
          <th scope="col">Whole</th>
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
              :title="aboutColumn(c)"
              data-hook="column"
              @click="emit('choose', c)"
            >
              {{ (c.pieceTitle ?? c.title).replace(/^(Check|Practice): /, '') }}
            </button>
            <span class="said"
              >due {{ due(c.dueAt) || 'any time' }}{{ c.isRecommended ? ', recommended' : ''
              }}{{ c.passPercent === null ? '' : `, pass ${c.passPercent} %` }}</span
            >
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(l, row) in grid.learners" :key="l.id">
          <th scope="row" class="name">
            <!-- the grid is one stop for keys: they go there from a cell -->
            <NuxtLink
              class="plain"
              tabindex="-1"
              :to="{ path: '/evidence/record', query: { class: grid.classId, learner: l.id } }"
              >{{ l.name }}</NuxtLink
            >
          </th>
          <td class="whole" :title="wholes.get(l.id)?.said">
            {{ wholes.get(l.id)?.text }}<span class="sr-only">{{ wholes.get(l.id)?.said }}</span>
          </td>
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
              ><span v-if="cellOf(l.id, c)?.toRelease" class="late">to release</span
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
          <td />
          <td v-for="c in grid.columns" :key="pieceName(c)">{{ c.handedIn }} of {{ c.reached }}</td>
        </tr>
        <tr>
          <th scope="row" class="name">Mean</th>
          <td />
          <td v-for="c in grid.columns" :key="pieceName(c)">
            <b>{{ c.mean === null ? '' : percent(c.mean) }}</b>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped src="./workGrid.css">
.name a:not(:hover, :focus-visible) {
  text-decoration: none;
}
</style>

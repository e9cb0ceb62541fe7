<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { IsoDay, ResourceId } from '#core/base'
import type { RowDays } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import DayField from '~/shared/fields/DayField.vue'
import { keyOf } from '#core/audience'
import { sayDays, sayRow, sayTarget } from '../../words/series'
import type { SeriesLane } from '../../composables/seriesLane'

/** The rows of a series to type in: days, order, and for whom they are otherwise. */
const props = defineProps<{
  of: ClassSeries
  lane: SeriesLane
  row: string | null
  today: IsoDay
  minutesOf: (resourceId: ResourceId) => number | null
}>()
const emit = defineEmits<{
  choose: [rowId: string]
  days: [rowId: string, own: { [K in keyof RowDays]?: RowDays[K] | undefined }]
  move: [rowId: string, to: number]
  fill: [rowId: string]
  takeOut: [rowId: string]
  others: [rowId: string]
}>()
const body = ref<HTMLElement | null>(null)
const isOwn = (own: Partial<RowDays>) => own.opensOn !== undefined || own.throughOn !== undefined
/** Keeps the focus on the row that moved. */
function move(rowId: string, to: number): void {
  emit('move', rowId, to)
  void nextTick(() => body.value?.querySelector<HTMLElement>(`[data-head="${CSS.escape(rowId)}"]`)?.focus())
}
function keys(event: KeyboardEvent, rowId: string, at: number): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  const to = at + by
  const { rows } = props.lane.kept.series
  if (to < 0 || to >= rows.length) return
  if (event.altKey && props.of.mayChange) return move(rowId, to)
  const next = rows[to]
  if (!next) return
  emit('choose', next.id)
  body.value?.querySelector<HTMLElement>(`[data-head="${CSS.escape(next.id)}"]`)?.focus()
}
let dragged: string | null = null
function drop(to: number): void {
  if (dragged !== null && props.of.mayChange) move(dragged, to)
  dragged = null
}
const menuOf = (id: string, at: number, own: Partial<RowDays>) => [
  [
    { label: 'Otherwise for somebody', onSelect: () => emit('others', id) },
    { label: 'Fill the rows below like this', disabled: at === 0, onSelect: () => emit('fill', id) },
    {
      label: 'Days as the rule has them',
      disabled: !isOwn(own),
      onSelect: () => emit('days', id, { opensOn: undefined, throughOn: undefined }),
    },
    { label: 'Not released', onSelect: () => emit('days', id, { throughOn: null }) },
  ],
  [
    { label: 'Up', disabled: at === 0, onSelect: () => move(id, at - 1) },
    {
      label: 'Down',
      disabled: at === props.lane.kept.series.rows.length - 1,
      onSelect: () => move(id, at + 1),
    },
    { label: 'Take out', onSelect: () => emit('takeOut', id) },
  ],
]
</script>

<template>
  <table class="grid-table" data-hook="series-rows">
    <thead>
      <tr>
        <th class="num">Row</th>
        <th>Piece</th>
        <th class="day">Opens</th>
        <th class="day">Through</th>
        <th class="state">With learners</th>
        <th><span class="sr-only">More</span></th>
      </tr>
    </thead>
    <tbody ref="body">
      <tr
        v-for="(r, i) in lane.kept.series.rows"
        :key="r.id"
        :class="{ picked: r.id === row }"
        :data-hook="`series-row-${i + 1}`"
        @dragover.prevent
        @drop.prevent="drop(i)"
      >
        <td class="num">
          <button
            type="button"
            class="grip"
            :draggable="of.mayChange"
            :data-head="r.id"
            :aria-label="`Row ${i + 1}, ${lane.titleOf(r.id)}. Alt and arrows move it.`"
            @click="emit('choose', r.id)"
            @keydown="keys($event, r.id, i)"
            @dragstart="dragged = r.id"
          >
            {{ i + 1 }}
          </button>
        </td>
        <td class="piece">
          <NuxtLink
            v-if="lane.released.get(r.id)"
            class="plain"
            :to="`/work/${lane.released.get(r.id)?.assignmentId}`"
            >{{ lane.titleOf(r.id) }}</NuxtLink
          >
          <template v-else>{{ lane.titleOf(r.id) }}</template>
          <span v-if="minutesOf(r.resourceId)" class="said">&nbsp; {{ minutesOf(r.resourceId) }} min</span>
          <p v-if="r.only" class="said">only {{ r.only.map((t) => sayTarget(t, of)).join(', ') }}</p>
          <p v-for="o in lane.laid[i]?.others" :key="keyOf(o.target)" class="said">
            {{ sayTarget(o.target, of) }}:
            {{ o.days ? sayDays(o.days, of.days.meetingDays) : 'not released' }}
          </p>
        </td>
        <td v-for="field in ['opensOn', 'throughOn'] as const" :key="field" class="day">
          <DayField
            :label="`Row ${i + 1} ${field === 'opensOn' ? 'opens' : 'through'}`"
            :today="today"
            :min="of.firstOn"
            :max="of.days.lastOn"
            :marks="{ meetings: of.days.meetingDays }"
            :model-value="lane.laid[i]?.days?.[field] ?? r.own[field] ?? null"
            :disabled="!of.mayChange"
            may-be-empty
            brief
            @change="(on) => emit('days', r.id, { [field]: on })"
          />
          <span v-if="r.own[field] !== undefined" class="said">by hand</span>
        </td>
        <td class="state said" :class="{ needs: lane.laid[i]?.why }">
          {{ sayRow(lane.laid[i]!, lane.released.get(r.id)) }}
          <template v-if="lane.laid[i]?.insteadOf"> · opens later, closed before</template>
        </td>
        <td class="more">
          <UDropdownMenu v-if="of.mayChange" :items="menuOf(r.id, i, r.own)"
            ><UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-ellipsis"
              :aria-label="`More for row ${i + 1}`"
          /></UDropdownMenu>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.num {
  width: 2.6rem;
}
.day {
  width: 8.6rem;
}
.state {
  width: 8rem;
}
.more {
  width: 2.2rem;
}
tbody td {
  vertical-align: middle;
}
/* on a phone a row is two lines: the piece, then its days */
@media (max-width: 640px) {
  thead {
    position: absolute;
    clip-path: inset(50%);
  }
  tbody tr {
    display: grid;
    grid-template-columns: 2.6rem minmax(0, 1fr) minmax(0, 1fr) 2.2rem;
    padding-block: 0.4rem;
    border-bottom: 1px solid var(--ui-border);
  }
  tbody td {
    width: auto;
    border-bottom: 0;
  }
  .piece {
    grid-column: 2 / 4;
  }
  .more {
    grid-area: 1 / 4;
  }
  .day {
    grid-row: 2;
  }
  .day:nth-of-type(3) {
    grid-column: 1 / 3;
  }
  .day:nth-of-type(4) {
    grid-column: 3 / 5;
  }
  .state {
    grid-column: 1 / -1;
  }
}
.grip {
  min-width: 1.9rem;
  min-height: 1.9rem;
  border: 1px solid var(--stone-line);
  border-radius: 6px 5px 7px 5px;
  background: var(--stone-face);
  cursor: grab;
  font-variant-numeric: tabular-nums;
}
.picked > td {
  background: color-mix(in oklab, var(--ui-primary) 8%, transparent);
}
.needs {
  color: var(--ui-error);
}
</style>

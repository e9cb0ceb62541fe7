<script setup lang="ts">
import { computed, ref } from 'vue'
import { mondayOf } from '#core/base'
import type { Instant, IsoDay, LessonId } from '#core/base'
import { useColumnWidths } from '../composables/columnWidths'
import { useRowsInTurn } from '../composables/rowsInTurn'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDate } from '~/shared/words/times'
import type { DeskWeek } from '../desk/deskWeeks'
import type { Drop, Selection } from '../desk/selection'
import { ghostsOf } from '../desk/ghosts'
import { chosenIn } from '../desk/selection'
import DeskCell from './DeskCell.vue'
import DeskColumnHead from './DeskColumnHead.vue'

const props = defineProps<{
  columns: readonly DeskColumn[]
  weeks: readonly DeskWeek[]
  now: Instant
  today: IsoDay | null
  todayRatio: number
  selection: Selection | null
  before?: readonly DeskColumn[] | null
}>()
const emit = defineEmits<{
  select: [at: Selection]
  open: [column: DeskColumn]
  drop: [drop: Drop]
  stretch: [column: DeskColumn, lessonId: LessonId, halves: number]
}>()

// one function each for all stones: a new one would have every stone drawn again
const pick = (at: Selection) => emit('select', at)
const drop = (what: Drop) => emit('drop', what)
const stretch = (column: DeskColumn, lessonId: LessonId, halves: number) =>
  emit('stretch', column, lessonId, halves)
const chosenHere = (column: DeskColumn, week: DeskWeek) => chosenIn(column, week, props.selection)
/** The week that is looked at first: of what is chosen, else this one. */
const chosenWeek = computed(() => {
  const at = props.selection
  const column = props.columns.find((c) => c.of.id === at?.classId)
  const extent = at?.kind === 'lesson' ? column?.extents.get(at.lessonId) : undefined
  const on = at?.kind === 'meeting' ? at.on : extent ? column?.calendar.meetings[extent.first]?.on : undefined
  const looked = on ?? props.today ?? null
  return looked ? mondayOf(looked) : null
})
const NO_GHOSTS: ReadonlySet<string> = new Set()
const centre = computed(() =>
  Math.max(
    0,
    props.weeks.findIndex((w) => w.mondayOn === chosenWeek.value),
  ),
)
const { isDrawn } = useRowsInTurn(
  computed(() => props.weeks.length),
  centre,
)
/** Lessons that lie elsewhere than before the change that is looked at. */
const ghosts = computed(
  () =>
    new Map(
      props.columns.map((c) => [
        c.of.id,
        ghostsOf(
          c,
          props.before?.find((b) => b.of.id === c.of.id),
        ),
      ]),
    ),
)
const root = ref<HTMLElement | null>(null)
const { leastRem, template, halfPxOf } = useColumnWidths(root, () => props.columns)
</script>

<template>
  <div
    ref="root"
    class="desk"
    role="grid"
    :style="{ '--columns': columns.length, '--column': `${leastRem}rem` }"
    aria-label="Planning desk, a row for each week, a column for each class"
    :aria-rowcount="weeks.length + 1"
  >
    <div class="row head" role="row" :style="{ gridTemplateColumns: template }">
      <div role="columnheader" class="corner">Week of</div>
      <DeskColumnHead
        v-for="c in columns"
        :key="c.of.id"
        :column="c"
        :today="today"
        @open="emit('open', c)"
      />
    </div>
    <div
      v-for="(w, i) in weeks"
      :id="`week-${w.mondayOn}`"
      :key="w.mondayOn"
      class="row"
      :class="{ term: w.termStarts !== null, current: w.isCurrent }"
      role="row"
      :aria-rowindex="i + 2"
      :style="{ gridTemplateColumns: template }"
    >
      <div role="rowheader" class="gutter">
        <span class="date">{{ sayDate(w.mondayOn) }}</span>
        <span v-if="w.termStarts" class="said">{{ w.termStarts }}</span>
        <span v-if="w.isCurrent" class="flag">today</span>
      </div>
      <div
        v-if="w.closedAll"
        role="gridcell"
        class="closed"
        :aria-colspan="columns.length"
        :style="{ gridColumn: `2 / span ${columns.length}` }"
      >
        <span>{{ w.closures.join(', ') }}</span>
      </div>
      <template v-else-if="isDrawn(i)">
        <DeskCell
          v-for="c in columns"
          :key="c.of.id"
          :column="c"
          :week="w"
          :now="now"
          :selection="chosenHere(c, w)"
          :ghosts="ghosts.get(c.of.id) ?? NO_GHOSTS"
          :half-px="halfPxOf(c)"
          @select="pick"
          @drop="drop"
          @stretch="stretch"
        />
        <div
          v-if="w.closures.length > 0"
          role="gridcell"
          class="band"
          :aria-colspan="columns.length"
          :style="{ gridColumn: `2 / span ${columns.length}` }"
        >
          <span>{{ w.closures.join(' · ') }}</span>
        </div>
      </template>
      <div
        v-if="w.isCurrent"
        class="today"
        :style="{ top: `${Math.round(todayRatio * 100)}%` }"
        aria-hidden="true"
      />
    </div>
  </div>
</template>

<style scoped>
.desk {
  width: 100%;
  min-width: calc(4rem + var(--columns) * var(--column));
  padding-bottom: 3rem;
}
.row {
  position: relative;
  isolation: isolate;
  display: grid;
  border-bottom: 1px solid var(--ui-border-muted);
  min-height: 2.35rem;
}
/* weeks out of sight are laid out and painted once they come near */
.row:not(.head) {
  content-visibility: auto;
  contain-intrinsic-size: auto 2.6rem;
}
.row.term {
  border-top: 2px solid var(--line);
}
.row.current {
  background: color-mix(in oklab, var(--color-gorse-300) 12%, transparent);
}
.head {
  position: sticky;
  top: 0;
  z-index: 10;
  background: var(--ui-bg);
  border-bottom: 1px solid var(--line);
}
.corner {
  padding: 0.4rem 0.5rem;
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
  align-self: end;
}
.gutter {
  position: relative;
  display: grid;
  align-content: start;
  padding: 0.3rem 0.4rem;
  font-size: var(--text-xs);
}
.current .gutter {
  padding-bottom: 1.15rem;
}
.date {
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
}
.band,
.closed {
  display: flex;
  align-items: center;
  background: var(--hatch);
  font-size: var(--text-xs);
  color: var(--ui-text-toned);
  min-height: 1.15rem;
  padding-inline: 0.4rem;
  margin: 0 0.2rem 0.3rem;
  border-radius: 3px;
}
.closed {
  margin: 0.3rem 0.2rem;
}
.band span,
.closed span {
  background: var(--ui-bg);
  padding: 0 0.4rem;
  border-radius: 3px;
}
.today {
  position: absolute;
  left: 4rem;
  right: 0;
  height: 0;
  border-top: 2px solid var(--today);
  pointer-events: none;
}
.flag {
  position: absolute;
  left: 0.5rem;
  bottom: 0.1rem;
  pointer-events: none;
  background: var(--today);
  color: var(--ui-bg);
  font-size: var(--text-xs);
  font-weight: 650;
  padding: 0 0.3rem;
  border-radius: 3px 5px 4px 3px;
  line-height: 0.95rem;
}
.row.current .date {
  font-weight: 650;
  color: var(--today);
}
</style>

<script setup lang="ts">
import type { Instant } from '#core/base'
import type { LessonId } from '#core/base'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import type { DeskWeek } from '../desk/deskWeeks'
import type { Drop, Selection } from '../desk/selection'
import DeskStretch from './DeskStretch.vue'

/**
 * One class's week. `selection` is given only where it concerns this cell, so that other cells are not drawn
 * anew when the choice moves on.
 */
const props = defineProps<{
  column: DeskColumn
  week: DeskWeek
  now: Instant
  selection: Selection | null
  ghosts: ReadonlySet<string>
  halfPx: number
}>()
const emit = defineEmits<{
  select: [at: Selection]
  drop: [drop: Drop]
  stretch: [column: DeskColumn, lessonId: LessonId, halves: number]
}>()

const isAt = (s: Stretch) => {
  const at = props.selection
  if (!at || at.classId !== props.column.of.id) return false
  if (at.kind === 'lesson') return s.kind === 'stone' && s.lessonId === at.lessonId
  const m =
    s.kind === 'lost' ? s.lost : s.kind === 'bare' ? props.column.calendar.meetings[s.meeting] : undefined
  return m?.on === at.on && m.startMinute === at.startMinute
}
const isLit = (s: Stretch) =>
  props.selection?.kind === 'lesson' &&
  props.selection.classId !== props.column.of.id &&
  s.kind === 'stone' &&
  s.lessonId === props.selection.lessonId
// one function each for all stones: a new one would have every stone drawn again
const pick = (at: Selection) => emit('select', at)
const drop = (what: Drop) => emit('drop', what)
const stretch = (column: DeskColumn, lessonId: LessonId, halves: number) =>
  emit('stretch', column, lessonId, halves)
</script>

<template>
  <div
    role="gridcell"
    class="cell"
    :style="{ gridTemplateColumns: `repeat(${column.widestHalves * 6}, minmax(0, 1fr))` }"
  >
    <DeskStretch
      v-for="(s, n) in column.weeks.get(week.mondayOn)?.stretches ?? []"
      :key="n"
      :column="column"
      :stretch="s"
      :now="now"
      :selected="isAt(s)"
      :lit="isLit(s)"
      :reachable="isAt(s)"
      :ghost="s.kind === 'stone' && ghosts.has(s.lessonId)"
      :half-px="halfPx"
      @select="pick"
      @drop="drop"
      @stretch="stretch"
    />
  </div>
</template>

<style scoped>
.cell {
  position: relative;
  z-index: 1;
  display: grid;
  grid-auto-rows: 1.75rem;
  row-gap: 2px;
  padding: 0.3rem 0.15rem;
  border-left: 1px solid var(--ui-border-muted);
  align-items: stretch;
}
</style>

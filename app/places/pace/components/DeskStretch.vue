<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Instant, LessonId } from '#core/base'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { isFixed, sayBare, sayLost, sayStone, stoneState } from '../words/stones'
import CairnMark from './CairnMark.vue'
import StoneEdge from './StoneEdge.vue'
import { useStoneDrag } from '../composables/stoneDrag'
import type { Drop, Selection } from '../desk/selection'
import { stoneLabel } from '../desk/stoneLabel'

const props = withDefaults(
  defineProps<{
    column: DeskColumn
    stretch: Stretch
    now: Instant
    selected: boolean
    lit: boolean
    reachable: boolean
    roomy?: boolean
    ghost?: boolean
    /** Width of half a meeting in pixels. */
    halfPx?: number
  }>(),
  { halfPx: 26 },
)
const emit = defineEmits<{
  select: [at: Selection]
  drop: [drop: Drop]
  stretch: [column: DeskColumn, lessonId: LessonId, halves: number]
}>()
const box = ref<HTMLElement | null>(null)

const lesson = computed(() =>
  props.stretch.kind === 'stone' ? (props.column.lessons.get(props.stretch.lessonId) ?? null) : null,
)
const state = computed(() =>
  props.stretch.kind === 'stone' ? stoneState(props.column, props.stretch, props.now) : null,
)
const fixed = computed(
  () =>
    props.stretch.kind === 'stone' && props.stretch.starts && isFixed(props.column, props.stretch.lessonId),
)
const tint = computed(() =>
  props.stretch.kind === 'stone'
    ? `var(--unit-${props.column.tints.get(props.stretch.lessonId) ?? 1})`
    : undefined,
)
const label = computed(() => {
  const { stretch, column, now } = props
  return stretch.kind === 'stone'
    ? sayStone(column, stretch, now)
    : stretch.kind === 'bare'
      ? sayBare(column, stretch)
      : sayLost(column, stretch.lost)
})
const mayMove = computed(
  () => props.column.of.mayChange && props.stretch.kind === 'stone' && state.value === 'planned',
)

function choose(): void {
  const { stretch, column } = props
  if (stretch.kind === 'stone')
    return emit('select', { kind: 'lesson', classId: column.of.id, lessonId: stretch.lessonId })
  const m = stretch.kind === 'bare' ? column.calendar.meetings[stretch.meeting] : stretch.lost
  if (m) emit('select', { kind: 'meeting', classId: column.of.id, on: m.on, startMinute: m.startMinute })
}

const { over, pulled, isArmed, arm, pull } = useStoneDrag({
  box,
  column: () => props.column,
  stretch: () => props.stretch,
  mayMove: () => mayMove.value,
  drop: (drop) => emit('drop', drop),
  pulledBy: (lessonId, halves) => emit('stretch', props.column, lessonId, halves),
})
/** What fits into the stone; on one class's desk all does. */
const shown = computed(() => {
  const number = lesson.value?.number ?? ''
  if (props.roomy) return { number, hasTitle: true, isSmall: false }
  return stoneLabel(number || (lesson.value?.title ?? ''), props.stretch.halves * props.halfPx, fixed.value)
})
const isShortened = computed(
  () => shown.value.number !== '' && !lesson.value?.number.startsWith(shown.value.number),
)
</script>

<template>
  <button
    ref="box"
    type="button"
    class="stretch"
    :class="[
      stretch.kind,
      state,
      {
        selected,
        lit,
        roomy,
        ghost,
        over,
        half: shown.isSmall,
        starts: stretch.kind === 'stone' && stretch.starts,
        ends: stretch.kind === 'stone' && stretch.ends,
        marked: lesson && lesson.kind !== 'lesson',
        dated: fixed,
      },
    ]"
    :style="{ gridColumn: `span ${Math.max(1, Math.round(stretch.halves * 6))}`, '--tint': tint }"
    :aria-label="ghost ? `${label}, after the change` : label"
    :title="roomy ? undefined : label"
    :aria-pressed="selected"
    :tabindex="reachable ? 0 : -1"
    :data-hook="stretch.kind"
    :data-lesson="lesson?.number"
    @click="choose"
    @pointerenter="arm"
    @dragenter="arm"
  >
    <template v-if="lesson && stretch.kind === 'stone'">
      <CairnMark v-if="fixed" />
      <!-- a number without its letter is drawn only: what is read is the stone's whole name -->
      <b v-if="isShortened" class="drawn" :class="{ again: !stretch.starts }" :data-label="shown.number" />
      <b v-else-if="shown.number" :class="{ again: !stretch.starts }">{{ shown.number }}</b>{{ ' ' }}
      <span v-if="shown.hasTitle && lesson.number">{{ lesson.title }}</span>
      <StoneEdge v-if="mayMove && isArmed" :can-pull="stretch.ends" :pulled="pulled" @pull="pull" />
    </template>
    <template v-else-if="stretch.kind === 'lost'"
      ><span v-if="roomy">{{ stretch.lost.because }}</span></template
    >
    <template v-else-if="roomy"><span class="said">free</span></template>
  </button>
</template>

<style scoped>
.stretch {
  scroll-margin-top: 9rem;
  margin-right: 2px;
  position: relative;
  display: flex;
  align-items: baseline;
  gap: 0.35rem;
  min-width: 0;
  height: 100%;
  overflow: hidden;
  padding: 0.22rem 0.2rem 0.22rem 0.22rem;
  font-size: 0.78rem;
  letter-spacing: -0.01em;
  line-height: 1.15;
  text-align: left;
  cursor: pointer;
  color: var(--ui-text);
  white-space: nowrap;
  align-content: center;
}
.stretch b {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.drawn::before {
  content: attr(data-label);
}
.stretch b.again {
  font-weight: 400;
  color: var(--ui-text-muted);
}
.stretch span {
  overflow: hidden;
  text-overflow: ellipsis;
  min-width: 0;
}
.stone {
  background: var(--stone-face);
  border: 1px solid var(--stone-line);
  border-left: 4px solid color-mix(in oklab, var(--tint) 82%, var(--stone-line));
  border-radius: 2px;
}
.stone.starts {
  border-top-left-radius: 7px 5px;
  border-bottom-left-radius: 5px 8px;
}
.stone.ends {
  border-top-right-radius: 6px 8px;
  border-bottom-right-radius: 8px 5px;
}
.stone.covered,
.stone.passed {
  background: var(--tint);
  border-color: color-mix(in oklab, var(--tint) 60%, var(--stone-line));
}
.stone.passed {
  border-right-style: dashed;
  border-top-style: dashed;
  border-bottom-style: dashed;
}
.stone.dated:not(.roomy) {
  padding-inline: 0.1rem 0;
  gap: 0.3rem;
}
.ghost {
  outline: 2px dashed var(--ui-primary);
  outline-offset: -2px;
  background: color-mix(in oklab, var(--ui-primary) 9%, var(--stone-face));
}
.over {
  box-shadow: inset 3px 0 0 var(--ui-primary);
}
.stone.under-way {
  background: linear-gradient(105deg, var(--tint) 50%, var(--stone-face) 50.5%);
}
.stone.marked b {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 2px;
}

.half.stone {
  border-left-width: 1px;
  border-top: 3px solid color-mix(in oklab, var(--tint) 82%, var(--stone-line));
  padding: 0.2rem 0 0;
  gap: 0;
  font-size: 0.64rem;
  letter-spacing: -0.05em;
  justify-content: center;
}
.bare {
  border: 1px dashed var(--ui-border-accented);
  border-radius: 4px;
}
.lost {
  background: var(--hatch);
  border: 1px solid var(--ui-border-accented);
  border-radius: 3px;
}
.lost span {
  background: var(--ui-bg);
  padding-inline: 0.25rem;
}
.lit {
  box-shadow: 0 0 0 2px var(--color-gorse-400);
  z-index: 1;
}
.selected {
  box-shadow: 0 0 0 2.5px var(--ui-primary);
  z-index: 2;
}
.stretch:focus-visible {
  outline: 3px solid var(--ui-primary);
  outline-offset: 1px;
  z-index: 3;
}
.roomy {
  padding: 0.35rem 0.6rem;
  font-size: 0.9rem;
  align-items: center;
}
</style>

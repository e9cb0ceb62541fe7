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
  if (props.roomy) return { number, hasTitle: true, isTight: false }
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
        half: shown.isTight,
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

<style scoped src="./stretch.css"></style>

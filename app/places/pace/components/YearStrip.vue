<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDate, sayMonth } from '~/shared/words/times'
import { count } from '~/shared/words/numbers'
import { useHeavyWeeks } from '../composables/heavyWeeks'
import type { DeskWeek } from '../desk/deskWeeks'

const props = defineProps<{
  weeks: readonly DeskWeek[]
  column: DeskColumn | null
  top: number
  shown: number
}>()
const emit = defineEmits<{ go: [ratio: number] }>()
const track = ref<HTMLElement | null>(null)

const heavy = useHeavyWeeks(() => props.column?.of.id ?? null)
/** 'week of 5 Oct, 3 learners over the limits'. */
function sayWeek({ mondayOn }: DeskWeek): string {
  const over = heavy.value.get(mondayOn)
  return `week of ${sayDate(mondayOn)}${over ? `, ${count(over, 'learner')} over the limits` : ''}`
}
/** A week's tint: the unit of its first stone. */
const tints = computed(() =>
  props.weeks.map((w) => {
    const stone = props.column?.weeks.get(w.mondayOn)?.stretches.find((s) => s.kind === 'stone')
    return stone?.kind === 'stone'
      ? `var(--unit-${props.column?.tints.get(stone.lessonId) ?? 1})`
      : 'transparent'
  }),
)
const monthAt = (i: number) => {
  const here = props.weeks[i]
  const before = props.weeks[i - 1]
  return here && (!before || sayMonth(here.mondayOn) !== sayMonth(before.mondayOn))
    ? sayMonth(here.mondayOn)
    : ''
}
const firstShown = computed(
  () => props.weeks[Math.min(props.weeks.length - 1, Math.floor(props.top * props.weeks.length))],
)

function drag(event: PointerEvent): void {
  if (event.buttons === 0 && event.type !== 'pointerdown') return
  const box = track.value?.getBoundingClientRect()
  if (box) emit('go', (event.clientY - box.top) / box.height - props.shown / 2)
}
function keys(event: KeyboardEvent): void {
  const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 6, PageUp: -6 }[event.key]
  if (step === undefined) return
  event.preventDefault()
  emit('go', props.top + step / props.weeks.length)
}
</script>

<template>
  <div
    ref="track"
    class="strip"
    role="scrollbar"
    tabindex="0"
    aria-label="Year"
    aria-orientation="vertical"
    aria-controls="desk-scroll"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-valuenow="Math.round(top * 100)"
    :aria-valuetext="firstShown ? sayWeek(firstShown) : ''"
    @pointerdown="drag"
    @pointermove="drag"
    @keydown="keys"
  >
    <div
      v-for="(w, i) in weeks"
      :key="w.mondayOn"
      class="week"
      :class="{ closed: w.closedAll, current: w.isCurrent, term: w.termStarts !== null }"
      :style="{ '--tint': tints[i] }"
    >
      <span>{{ monthAt(i) }}</span><i
        v-if="heavy.has(w.mondayOn)"
        class="heavy"
        :title="sayWeek(w)"
        data-hook="heavy-week"
      />
    </div>
    <div class="thumb" :style="{ top: `${top * 100}%`, height: `${shown * 100}%` }" />
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  display: flex;
  flex-direction: column;
  width: 2.7rem;
  flex: none;
  border-right: 1px solid var(--ui-border);
  cursor: ns-resize;
  user-select: none;
  touch-action: none;
  background: var(--ui-bg-muted);
}
.week {
  position: relative;
  flex: 1;
  background: var(--tint);
  border-bottom: 1px solid color-mix(in oklab, var(--ui-border) 50%, transparent);
  overflow: visible;
  line-height: 1;
}
.week span {
  position: absolute;
  left: 0.3rem;
  font-size: var(--text-xs);
  color: var(--ui-text-toned);
  pointer-events: none;
}
/* minutes weigh: a block at the edge, larger than a point of colour */
.heavy {
  position: absolute;
  right: 0.2rem;
  top: 50%;
  width: 0.5rem;
  height: 0.5rem;
  translate: 0 -50%;
  border-radius: 1px;
  background: var(--ui-warning);
}
.week.closed {
  background: var(--hatch);
}
.week.term {
  border-top: 2px solid var(--line);
}
.week.current {
  box-shadow: inset 4px 0 0 var(--today);
}
.thumb {
  position: absolute;
  left: 0;
  right: 0;
  border: 2px solid var(--ui-primary);
  border-radius: 4px 5px 4px 6px;
  background: color-mix(in oklab, var(--ui-primary) 10%, transparent);
  pointer-events: none;
}
@media (max-width: 720px) {
  .strip {
    display: none;
  }
}
</style>

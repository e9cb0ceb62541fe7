<script setup lang="ts">
import { computed } from 'vue'
import type { Instant } from '#core/base'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../../stores/deskColumn'
import { sayBare, sayLost, sayStone, stoneState } from '../../words/stones'
import type { Selection } from './selection'

const props = defineProps<{ column: DeskColumn, stretch: Stretch, now: Instant, selected: boolean, lit: boolean, reachable: boolean, roomy?: boolean }>()
const emit = defineEmits<{ select: [at: Selection] }>()

const lesson = computed(() => (props.stretch.kind === 'stone' ? props.column.lessons.get(props.stretch.lessonId) ?? null : null))
const state = computed(() => (props.stretch.kind === 'stone' ? stoneState(props.column, props.stretch, props.now) : null))
const tint = computed(() => (props.stretch.kind === 'stone' ? `var(--unit-${props.column.tints.get(props.stretch.lessonId) ?? 1})` : undefined))
const label = computed(() => {
  const { stretch, column, now } = props
  return stretch.kind === 'stone' ? sayStone(column, stretch, now) : stretch.kind === 'bare' ? sayBare(column, stretch) : sayLost(column, stretch.lost)
})

function choose(): void {
  const { stretch, column } = props
  if (stretch.kind === 'stone') return emit('select', { kind: 'lesson', classId: column.of.id, lessonId: stretch.lessonId })
  const m = stretch.kind === 'bare' ? column.calendar.meetings[stretch.meeting] : stretch.lost
  if (m) emit('select', { kind: 'meeting', classId: column.of.id, on: m.on, startMinute: m.startMinute })
}
</script>

<template>
  <button
    type="button" class="stretch" :class="[stretch.kind, state, { selected, lit, roomy, half: stretch.halves === 1 && !roomy, starts: stretch.kind === 'stone' && stretch.starts, ends: stretch.kind === 'stone' && stretch.ends, marked: lesson && lesson.kind !== 'lesson' }]"
    :style="{ gridColumn: `span ${stretch.halves}`, '--tint': tint }" :aria-label="label" :title="roomy ? undefined : label" :aria-pressed="selected" :tabindex="reachable ? 0 : -1"
    :data-hook="stretch.kind" :data-lesson="lesson?.number" @click="choose"
  >
    <template v-if="lesson && stretch.kind === 'stone'">
      <b :class="{ again: !stretch.starts }">{{ lesson.number }}</b>{{ ' ' }}
      <span v-if="roomy || stretch.halves >= 3">{{ lesson.title }}</span>
    </template>
    <template v-else-if="stretch.kind === 'lost'"><span v-if="roomy">{{ stretch.lost.because }}</span></template>
    <template v-else-if="roomy"><span class="said">free</span></template>
  </button>
</template>

<style scoped>
.stretch { position: relative; display: flex; align-items: baseline; gap: 0.35rem; min-width: 0; height: 100%; overflow: hidden; padding: 0.22rem 0.2rem 0.22rem 0.22rem; font-size: 0.78rem; letter-spacing: -0.01em; line-height: 1.15; text-align: left; cursor: pointer; color: var(--ui-text); white-space: nowrap; align-content: center; }
.stretch b { font-weight: 650; font-variant-numeric: tabular-nums; }
.stretch b.again { font-weight: 400; color: var(--ui-text-muted); }
.stretch span { overflow: hidden; text-overflow: ellipsis; min-width: 0; }
.stone { background: var(--stone-face); border: 1px solid var(--stone-line); border-left: 4px solid color-mix(in oklab, var(--tint) 82%, var(--stone-line)); border-radius: 2px; }
.stone.starts { border-top-left-radius: 7px 5px; border-bottom-left-radius: 5px 8px; }
.stone.ends { border-top-right-radius: 6px 8px; border-bottom-right-radius: 8px 5px; }
.stone.behind { background: var(--tint); border-color: color-mix(in oklab, var(--tint) 60%, var(--stone-line)); }
.stone.under-way { background: linear-gradient(105deg, var(--tint) 50%, var(--stone-face) 50.5%); }
.stone.marked b { text-decoration: underline; text-decoration-thickness: 2px; text-underline-offset: 2px; }

.half.stone { border-left-width: 1px; border-top: 3px solid color-mix(in oklab, var(--tint) 82%, var(--stone-line)); padding: 0.2rem 0 0; font-size: 0.68rem; letter-spacing: -0.035em; justify-content: center; }
.bare { border: 1px dashed var(--ui-border-accented); border-radius: 4px; }
.lost { background: var(--hatch); border: 1px solid var(--ui-border-accented); border-radius: 3px; }
.lost span { background: var(--ui-bg); padding-inline: 0.25rem; }
.lit { box-shadow: 0 0 0 2px var(--color-gorse-400); z-index: 1; }
.selected { box-shadow: 0 0 0 2.5px var(--ui-primary); z-index: 2; }
.stretch:focus-visible { outline: 3px solid var(--ui-primary); outline-offset: 1px; z-index: 3; }
.roomy { padding: 0.35rem 0.6rem; font-size: 0.9rem; align-items: center; }
</style>

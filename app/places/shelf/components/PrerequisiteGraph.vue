<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { OnTheWay, Way } from '#core/library'
import { layers } from '../layers'

/** What comes before a standard, drawn from left to right; and the same as a list, for who reads it. */
const props = defineProps<{ nodes: readonly OnTheWay[]; ways: readonly Way[]; code: string }>()
const emit = defineEmits<{ choose: [code: string] }>()
const WIDE = 134
const HIGH = 76
const GAP = 24
/** A drawing needs room from left to right. */
const isNarrow = useMediaQuery('(max-width: 1100px)')
const wantsList = ref(false)
const isList = computed(() => isNarrow.value || wantsList.value)
const drawn = computed(() => layers(props.nodes, props.ways))
const x = (column: number) => column * (WIDE + GAP)
const y = (row: number) => row * (HIGH + 10)
const size = computed(() => ({
  width: drawn.value.columns * (WIDE + GAP) - GAP,
  height: drawn.value.rows * (HIGH + 10) - 10,
}))
function lineOf({ from, to }: (typeof drawn.value.lines)[number]): string {
  const [x1, y1] = [x(from.column) + WIDE, y(from.row) + HIGH / 2]
  const [x2, y2] = [x(to.column), y(to.row) + HIGH / 2]
  const bend = GAP / 2
  return `M ${x1} ${y1} C ${x1 + bend} ${y1}, ${x2 - bend} ${y2}, ${x2} ${y2}`
}
const about = (steps: number) => {
  if (steps === 0) return 'this one'
  return steps > 0 ? `${steps} before` : 'needs it'
}
</script>

<template>
  <UButton
    v-if="!isNarrow"
    class="mb-2"
    size="xs"
    color="neutral"
    variant="ghost"
    data-hook="as-list"
    @click="
      () => {
        wantsList = !wantsList
      }
    "
    >{{ isList ? 'As a drawing' : 'As a list' }}</UButton
  >
  <ol v-if="isList" class="list" data-hook="prerequisite-list">
    <li v-for="n in nodes" :key="n.standard.code">
      <span class="said">{{ about(n.steps) }}</span>
      <b v-if="n.standard.code === code">{{ n.standard.text }}</b>
      <button v-else type="button" class="plain text-left" @click="emit('choose', n.standard.code)">
        {{ n.standard.text }}
      </button>
      <span class="code said">{{ n.standard.code }}</span>
    </li>
  </ol>
  <div v-else class="graph" tabindex="0" role="region" aria-label="What comes before it, drawn">
    <div class="canvas" :style="{ width: `${size.width}px`, height: `${size.height}px` }">
      <svg :width="size.width" :height="size.height" aria-hidden="true">
        <path v-for="(line, i) in drawn.lines" :key="i" :d="lineOf(line)" />
      </svg>
      <ul>
        <li
          v-for="n in drawn.nodes"
          :key="n.standard.code"
          :style="{ left: `${x(n.column)}px`, top: `${y(n.row)}px`, width: `${WIDE}px`, height: `${HIGH}px` }"
        >
          <button
            type="button"
            :class="{ here: n.standard.code === code }"
            :title="n.standard.text"
            @click="emit('choose', n.standard.code)"
          >
            <span class="code">{{ n.standard.code }}</span><span class="words">{{ n.standard.text }}</span
            ><span class="sr-only">, {{ about(n.steps) }}</span>
          </button>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.list li {
  position: static;
  display: grid;
  grid-template-columns: 5rem 1fr auto;
  gap: 0.6rem;
  padding: 0.2rem 0;
  font-size: var(--text-sm);
}
.list button {
  min-height: 24px;
}
.graph {
  overflow-x: auto;
  padding: 3px;
}
.canvas {
  position: relative;
}
path {
  fill: none;
  stroke: var(--ui-border-accented);
  stroke-width: 1.5;
}
.canvas li {
  position: absolute;
}
.canvas button {
  display: grid;
  align-content: start;
  width: 100%;
  height: 100%;
  padding: 0.3rem 0.5rem;
  text-align: left;
  border: 1px solid var(--ui-border-accented);
  border-radius: 7px 8px 6px 8px;
  background: var(--stone-face);
  cursor: pointer;
  overflow: hidden;
}
.canvas button.here {
  border-color: var(--ui-primary);
  border-width: 2px;
}
.canvas .code {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
.words {
  font-size: var(--text-xs);
  line-height: 1.2;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  line-clamp: 3;
  overflow: hidden;
}
</style>

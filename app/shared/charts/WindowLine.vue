<script setup lang="ts">
import { computed } from 'vue'
import type { Instant } from '#core/base'
import { shareOf, windowLine } from '#core/availability'
import type { Scale, Stretch, Window } from '#core/availability'

/**
 * One window against real time: a hairline while it is seen, a bar while work can come in, a dotted one while late
 * work still does, an end where it is put away; the class's meetings as ticks beneath. Words stand beside it, too.
 */
const props = defineProps<{
  window: Window
  scale: Scale
  /** The instant that is looked at. */
  at: Instant
  meetings?: readonly { readonly startsAt: Instant }[]
}>()
const line = computed(() => windowLine(props.window, props.scale))
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
const placed = (s: Stretch) => ({ left: percent(s.from), width: percent(s.until - s.from) })
const ticks = computed(() =>
  (props.meetings ?? [])
    .map((m) => shareOf(m.startsAt, props.scale))
    .filter((share) => share >= 0 && share <= 1),
)
const here = computed(() => shareOf(props.at, props.scale))
</script>

<template>
  <div class="line" aria-hidden="true">
    <span v-if="line.seen" class="seen" :style="placed(line.seen)" />
    <span v-if="line.open" class="open" :style="placed(line.open)" />
    <span v-if="line.late" class="late" :style="placed(line.late)" />
    <span v-if="line.end !== null" class="end" :style="{ left: percent(line.end) }" />
    <span v-for="t in ticks" :key="t" class="tick" :style="{ left: percent(t) }" />
    <span v-if="here >= 0 && here <= 1" class="here" :style="{ left: percent(here) }" />
  </div>
</template>

<style scoped>
.line {
  position: relative;
  height: 1.25rem;
  overflow: hidden;
}
span {
  position: absolute;
}
.seen {
  top: 0.43rem;
  height: 1px;
  background: var(--ui-text-muted);
}
.open {
  top: 0.16rem;
  height: 0.6rem;
  background: var(--ui-primary);
  border-radius: 3px 4px 3px 4px;
  min-width: 2px;
}
.late {
  top: 0.16rem;
  height: 0.6rem;
  background: repeating-linear-gradient(90deg, var(--ui-primary) 0 3px, transparent 3px 6px);
}
.end {
  top: 0.1rem;
  height: 0.75rem;
  border-left: 2px solid var(--ui-text-muted);
}
.tick {
  top: 0.9rem;
  height: 0.28rem;
  border-left: 1px solid var(--line);
}
.here {
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--ui-error);
}
@media (forced-colors: active) {
  span {
    forced-color-adjust: none;
    border-color: CanvasText;
  }
  .seen,
  .open {
    background: CanvasText;
  }
  .late {
    background: repeating-linear-gradient(90deg, CanvasText 0 3px, transparent 3px 6px);
  }
  .here {
    border-color: Highlight;
  }
}
</style>

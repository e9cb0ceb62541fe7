<script setup lang="ts">
import type { Instant } from '#core/base'
import { sayCountdown } from '~/shared/words/times'

/** What stays at hand while one works: what is saved, how far one is, the time, the tools. */
defineProps<{
  status: 'saved' | 'saving' | 'lost' | 'choose'
  saved: string
  progress: string
  deadlineAt: Instant | null
  now: Instant
}>()
</script>

<template>
  <div class="at-hand">
    <div class="status" role="status" aria-live="polite">
      <span :class="status" data-hook="saved">{{ saved }}</span>
      <span class="flex-1" />
      <span data-hook="progress">{{ progress }}</span>
    </div>
    <div v-if="deadlineAt" class="clock" :class="{ soon: deadlineAt - now < 300_000 }" role="timer">
      {{ sayCountdown(deadlineAt, now) }} left
    </div>
    <slot />
  </div>
</template>

<style scoped>
.at-hand {
  position: sticky;
  top: 0;
  z-index: 5;
  max-height: 75vh;
  overflow: auto;
  background: var(--ui-bg);
  border-bottom: 1px solid var(--ui-border);
}
.status {
  display: flex;
  gap: 1rem;
  padding: 0.5rem 0;
  font-size: 0.84rem;
  color: var(--ui-text-muted);
}
.saved {
  color: var(--ui-success);
  font-weight: 600;
}
.lost,
.choose {
  color: var(--ui-error);
  font-weight: 600;
}
.clock {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
  padding: 0 0 0.4rem;
}
.clock.soon {
  color: var(--ui-warning);
}
/* a window too low for both: what is at hand then goes with the page */
@media (max-height: 30rem) {
  .at-hand {
    position: static;
  }
}
</style>

<style>
/* what takes the focus does not stop beneath the tools */
:root:has(.at-hand) {
  scroll-padding-top: 8rem;
}
</style>

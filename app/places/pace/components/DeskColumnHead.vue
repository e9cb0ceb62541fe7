<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay } from '#core/base'
import { count, meetingsOf } from '~/shared/words/numbers'
import { sayPattern } from '~/shared/words/pattern'
import { driftOf } from '../stores/deskColumn'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDrift } from '../words/ways'

/** The head of a class's column: when it meets, its drift, its slack. */
const props = defineProps<{ column: DeskColumn; today: IsoDay | null }>()
const emit = defineEmits<{ open: [] }>()
const drift = computed(() => (props.today ? driftOf(props.column, props.today) : null))
const driftWords = computed(() => {
  const d = drift.value ?? 0
  if (Math.abs(d) < 0.25) return 'on its baseline'
  return `${Math.round(Math.abs(d) * 2) / 2} meetings ${d > 0 ? 'ahead of' : 'behind'} its baseline`
})
</script>

<template>
  <div role="columnheader" class="colhead">
    <button type="button" class="name" :title="`Open ${column.of.name} alone`" @click="emit('open')">
      {{ column.of.name }}
    </button>
    <span class="said">{{ sayPattern(column.of.pattern) }}</span>
    <span v-if="!column.plan" class="said">no plan yet</span>
    <span v-else class="facts">
      <span
        v-if="drift !== null"
        class="drift"
        :class="{ behind: drift <= -0.75 }"
        :title="driftWords"
        data-hook="drift"
        ><span aria-hidden="true">{{ sayDrift(drift) }}</span
        ><span class="sr-only">{{ driftWords }}</span></span
      >
      <span v-if="column.unplaced.length > 0" class="bad"
        >{{ count(column.unplaced.length, 'lesson') }} too many</span
      >
      <span v-else class="said">{{ meetingsOf(column.layout?.slackHalves ?? 0) }} slack</span>
    </span>
  </div>
</template>

<style scoped>
.colhead {
  display: grid;
  padding: 0.35rem 0.4rem;
  gap: 1px;
  align-content: start;
  border-left: 1px solid var(--ui-border);
}
.colhead .name {
  min-height: 24px;
  font-weight: 650;
  text-align: left;
  cursor: pointer;
  color: var(--ui-text-highlighted);
}
.colhead .name:hover {
  text-decoration: underline;
}
.facts {
  display: flex;
  gap: 0.5rem;
  align-items: baseline;
}
.drift {
  font-weight: 650;
  font-size: var(--text-xs);
  font-variant-numeric: tabular-nums;
}
.drift.behind {
  color: var(--ui-error);
}
.bad {
  font-size: var(--text-xs);
  color: var(--ui-error);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Minutes } from '#core/base'
import type { LearnerWeeks } from '#shared/contracts/load'
import { count } from '~/shared/words/numbers'

/** A learner's weeks: a row of its own, so that walking through the table by keys draws two of them and not all. */
const props = defineProps<{
  of: LearnerWeeks
  /** The weeks as they are said. */
  dates: readonly string[]
  /** Minutes a week at which the ground is deepest. */
  most: Minutes
  /** Places of the week that Tab stops at, and of the one that is looked at. */
  stop: number | null
  chosen: number | null
}>()
const emit = defineEmits<{ choose: [week: number]; stop: [week: number]; move: [event: KeyboardEvent] }>()
const heavy = computed(() => new Set(props.of.heavyWeeks))
function groundOf(minutes: Minutes): string | undefined {
  if (minutes === 0) return undefined
  const depth = Math.round(3 + 35 * Math.min(1, minutes / props.most))
  return `color-mix(in oklab, var(--ui-primary) ${depth}%, var(--ui-bg))`
}
function say(minutes: Minutes, week: number): string {
  const pieces = count(props.of.pieces[week] ?? 0, 'piece')
  const much = heavy.value.has(week) ? ', over the limit' : ''
  return `${props.of.name}, week of ${props.dates[week]}: ${count(minutes, 'minute')}, ${pieces}${much}`
}
</script>

<template>
  <tr>
    <th scope="row">{{ of.name }}</th>
    <td v-for="(minutes, i) in of.minutes" :key="i" :style="{ background: groundOf(minutes) }">
      <button
        type="button"
        data-cell
        :class="{ much: heavy.has(i) }"
        :tabindex="stop === i ? 0 : -1"
        :aria-pressed="chosen === i"
        :aria-label="say(minutes, i)"
        @keydown="emit('move', $event)"
        @focus="emit('stop', i)"
        @click="emit('choose', i)"
      >
        {{ minutes || '' }}
      </button>
    </td>
  </tr>
</template>

<style scoped>
th {
  position: sticky;
  left: 0;
  z-index: 1;
  background: var(--ui-bg);
  text-align: left;
  min-width: 11rem;
}
td {
  padding: 0;
}
button {
  width: 100%;
  min-width: 3.6rem;
  min-height: 1.9rem;
  font-variant-numeric: tabular-nums;
}
button.much {
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ui-error);
}
button[aria-pressed='true'] {
  box-shadow: inset 0 0 0 2px var(--ui-primary);
}
</style>

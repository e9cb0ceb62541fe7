<script setup lang="ts">
import { computed } from 'vue'
import type { Limits, Overrides } from '#core/availability'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { sayLimits } from '../words/rulesInWords'

/** How many tries, and how much time for one, a class, group or learner has in place of what the rules say. */
const props = defineProps<{ who: string; overrides: Overrides }>()
const emit = defineEmits<{ set: [limits: Partial<Limits>] }>()
type Way = 'as-ruled' | 'any' | 'number'
const WAYS = {
  maxAttempts: { label: 'Tries', any: 'as many as they like', unit: 'tries', start: 3, most: 50 },
  timeLimitMinutes: { label: 'Time for a try', any: 'no limit', unit: 'minutes', start: 30, most: 600 },
} as const
const FIELDS = ['maxAttempts', 'timeLimitMinutes'] as const
type Field = (typeof FIELDS)[number]

const said = computed(() => sayLimits(props.overrides))
const wayOf = (field: Field): Way => {
  const value = props.overrides[field]
  if (value === undefined) return 'as-ruled'
  return value === null ? 'any' : 'number'
}
/** Sets one of the two, or (undefined) takes it off; the other one stays. */
function put(field: Field, value: number | null | undefined): void {
  const kept = FIELDS.flatMap((f) => {
    const own = f === field ? value : props.overrides[f]
    return own === undefined ? [] : [[f, own] as const]
  })
  emit('set', Object.fromEntries(kept))
}
function choose(field: Field, way: Way | null): void {
  if (way === 'as-ruled') put(field, undefined)
  else put(field, way === 'any' ? null : WAYS[field].start)
}
function type(field: Field, value: unknown): void {
  const number = Math.trunc(Number(value))
  if (number >= 1 && number <= WAYS[field].most) put(field, number)
}
const items = (field: Field) =>
  [
    { value: 'as-ruled', label: 'by the rules' },
    { value: 'any', label: WAYS[field].any },
    { value: 'number', label: 'a number', hook: `own-${field}` },
  ] as const
</script>

<template>
  <UPopover :content="{ align: 'end' }">
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      :class="{ 'font-bold': said !== '' }"
      :aria-label="`${said || 'Tries, time'}: tries and time of ${who}`"
      data-hook="limits"
      >{{ said || 'Tries, time' }}</UButton
    >
    <template #content>
      <div class="grid gap-3 p-3 w-76" data-hook="limits-editor">
        <div v-for="f in FIELDS" :key="f" class="grid gap-1.5">
          <h3>{{ WAYS[f].label }}</h3>
          <ChoiceButtons
            :label="`${WAYS[f].label} of ${who}`"
            :items="items(f)"
            :model-value="wayOf(f)"
            @update:model-value="choose(f, $event)"
          />
          <label v-if="wayOf(f) === 'number'" class="said flex items-center gap-1.5">
            <UInput
              size="xs"
              class="!w-20"
              type="number"
              min="1"
              :max="WAYS[f].most"
              :name="`limit-${f}`"
              :model-value="overrides[f] ?? undefined"
              @update:model-value="type(f, $event)"
            />{{ WAYS[f].unit }}</label
          >
        </div>
        <p class="said">Extra time and tries that a learner always has come on top.</p>
      </div>
    </template>
  </UPopover>
</template>

<script setup lang="ts">
import { LATE_PER } from '#core/attempts'
import type { LateRule } from '#core/attempts'

defineProps<{ late: LateRule | null }>()
const emit = defineEmits<{ change: [late: LateRule | null] }>()
const PER_ITEMS = LATE_PER.map((value) => ({
  value,
  label: value === 'calendar-day' ? 'each day' : 'each school day',
}))
const USUAL: LateRule = { percentPerDay: 10, per: 'instructional-day', floorPercent: 50 }
</script>

<template>
  <div class="grid gap-2">
    <UCheckbox
      label="Late work loses points"
      :model-value="late !== null"
      @update:model-value="emit('change', $event === true ? USUAL : null)"
    />
    <template v-if="late">
      <div class="flex gap-1.5">
        <UInput
          type="number"
          class="!w-20"
          aria-label="Percent off"
          :model-value="late.percentPerDay"
          @update:model-value="emit('change', { ...late, percentPerDay: Number($event) })"
        /><span class="said self-center">%</span
        ><USelect
          class="flex-1"
          aria-label="For"
          :items="PER_ITEMS"
          :model-value="late.per"
          @update:model-value="emit('change', { ...late, per: $event })"
        />
      </div>
      <div class="flex gap-1.5 items-center">
        <UInput
          type="number"
          class="!w-20"
          aria-label="At least kept, percent"
          :model-value="late.floorPercent"
          @update:model-value="emit('change', { ...late, floorPercent: Number($event) })"
        /><span class="said">% of the score are kept at least</span>
      </div>
      <p class="said">Late work exists only if it closes after it is due.</p>
    </template>
  </div>
</template>

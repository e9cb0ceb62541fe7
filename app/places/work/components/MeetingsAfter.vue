<script setup lang="ts">
import type { MeetingAfter } from '#core/availability'
import type { IsoDay } from '#core/base'
import DayField from '~/shared/fields/DayField.vue'
import type { marksOf } from '~/shared/fields/marks'

/** So many meetings after a day. */
defineProps<{ today: IsoDay; marks: ReturnType<typeof marksOf> }>()
const moment = defineModel<MeetingAfter>({ required: true })
function setCount(count: number): void {
  moment.value = { ...moment.value, count: Math.max(1, Math.trunc(count) || 1) }
}
function setDay(on: IsoDay | '' | null | undefined): void {
  if (on) moment.value = { ...moment.value, on }
}
</script>

<template>
  <div class="flex gap-1.5 items-center">
    <UInput
      :model-value="moment.count"
      type="number"
      min="1"
      class="w-20"
      aria-label="How many meetings"
      @update:model-value="setCount(Number($event))"
    />
    <span>{{ moment.count === 1 ? 'meeting' : 'meetings' }} after</span>
    <DayField
      :model-value="moment.on"
      label="Counted from"
      name="counted-from"
      :today="today"
      :marks="marks"
      class="flex-1"
      @update:model-value="setDay"
    />
  </div>
</template>

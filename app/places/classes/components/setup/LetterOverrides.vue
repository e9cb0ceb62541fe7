<script setup lang="ts">
import type { IsoDay } from '#core/base'
import type { Rotation } from '#core/calendar'
import DayField from '~/shared/fields/DayField.vue'
import { useToday } from '~/shared/session/today'

/** Days whose letter is set by hand; the count goes on from them. */
const props = defineProps<{
  labels: readonly string[]
  overrides: Rotation['overrides']
  firstOn: IsoDay
  lastOn: IsoDay
}>()
const emit = defineEmits<{ change: [overrides: Rotation['overrides']] }>()
const patch = (at: number, part: Partial<Rotation['overrides'][number]>) =>
  emit(
    'change',
    props.overrides.map((o, i) => (i === at ? { ...o, ...part } : o)),
  )
const today = useToday()
</script>

<template>
  <fieldset class="grid gap-1.5" data-hook="letters-by-hand">
    <legend class="text-sm font-semibold mb-1">
      Letters set by hand <span class="said font-normal">the count goes on from such a day</span>
    </legend>
    <div v-for="(o, i) in overrides" :key="i" class="flex gap-2 items-center">
      <DayField
        :model-value="o.on"
        :label="`Day ${i + 1} with a letter by hand`"
        :today="today"
        :min="firstOn"
        :max="lastOn"
        class="w-44"
        @update:model-value="$event && patch(i, { on: $event })"
      />
      <USelect
        :model-value="o.label"
        :items="[...labels]"
        class="w-20"
        :aria-label="`Letter of day ${i + 1}`"
        @update:model-value="patch(i, { label: $event })"
      />
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take away the letter by hand ${i + 1}`"
        @click="
          emit(
            'change',
            overrides.filter((_, x) => x !== i),
          )
        "
      />
    </div>
    <UButton
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-plus"
      data-hook="add-letter"
      @click="emit('change', [...overrides, { on: firstOn, label: labels[0] ?? '' }])"
      >Set a day's letter</UButton
    >
  </fieldset>
</template>

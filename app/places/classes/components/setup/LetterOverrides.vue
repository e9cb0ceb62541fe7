<script setup lang="ts">
import type { IsoDay } from '#core/base'
import type { Rotation } from '#core/calendar'

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
const text = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value
</script>

<template>
  <fieldset class="grid gap-1.5" data-hook="letters-by-hand">
    <legend class="text-sm font-semibold mb-1">
      Letters set by hand <span class="said font-normal">the count goes on from such a day</span>
    </legend>
    <div v-for="(o, i) in overrides" :key="i" class="flex gap-2 items-center">
      <input
        type="date"
        class="field"
        :min="firstOn"
        :max="lastOn"
        :value="o.on"
        :aria-label="`Day ${i + 1} with a letter by hand`"
        @change="text($event) && patch(i, { on: text($event) as IsoDay })"
      />
      <select
        class="field"
        :value="o.label"
        :aria-label="`Letter of day ${i + 1}`"
        @change="patch(i, { label: text($event) })"
      >
        <option v-for="l in labels" :key="l" :value="l">{{ l }}</option>
      </select>
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

<style scoped>
.field {
  border: 1px solid var(--ui-border-accented);
  border-radius: var(--ui-radius);
  background: var(--ui-bg);
  color: var(--ui-text);
  padding: 0.25rem 0.4rem;
  font-size: 0.9rem;
}
</style>

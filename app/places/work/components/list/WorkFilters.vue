<script setup lang="ts">
import type { ClassId, IsoDay } from '#core/base'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import DayField from '~/shared/fields/DayField.vue'
import { DIVISIONS } from '../../listing'
import type { Division, Filter } from '../../listing'

/** What of the work is listed, and by what it is divided. */
defineProps<{
  classes: readonly { readonly id: ClassId; readonly name: string }[]
  today: IsoDay
}>()
const filter = defineModel<Filter>({ required: true })
const by = defineModel<Division>('by', { required: true })

const WORDS: Record<Division, string> = { need: 'By need', class: 'By class', lesson: 'By lesson' }
const DIVIDED = DIVISIONS.map((value) => ({ value, label: WORDS[value], hook: `by-${value}` }))
const ENDS = [
  ['fromOn', 'From'],
  ['throughOn', 'Through'],
] as const
const ANY = 'any'
function set(part: Partial<Filter>): void {
  filter.value = { ...filter.value, ...part }
}
</script>

<template>
  <div class="flex flex-wrap items-end gap-3 mt-3" role="search" aria-label="Work">
    <UInput
      class="!w-52"
      icon="i-lucide-search"
      placeholder="Find work"
      aria-label="Find work"
      name="find-work"
      :model-value="filter.text"
      @update:model-value="set({ text: String($event) })"
    />
    <USelect
      class="!w-44"
      aria-label="Class"
      data-hook="filter-class"
      :items="[
        { label: 'All classes', value: ANY },
        ...classes.map((c) => ({ label: c.name, value: c.id as string })),
      ]"
      :model-value="filter.classId ?? ANY"
      @update:model-value="set({ classId: $event === ANY ? null : ($event as ClassId) })"
    />
    <div class="flex flex-wrap items-center gap-2">
      <span class="said">Opens or is due</span>
      <div v-for="[field, label] in ENDS" :key="field" class="w-40">
        <DayField
          :label="label"
          :name="field"
          :today="today"
          may-be-empty
          :model-value="filter[field]"
          @update:model-value="set({ [field]: $event || null })"
        />
      </div>
    </div>
    <ChoiceButtons
      label="Divide the list"
      :items="DIVIDED"
      :model-value="by"
      @update:model-value="by = $event ?? 'need'"
    />
  </div>
</template>

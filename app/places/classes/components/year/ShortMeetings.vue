<script setup lang="ts">
import { WHOLE_FROM } from '#core/calendar'
import type { FreeTime } from '#core/calendar'
import type { useYearForm } from '../../composables/yearForm'

/** What counts of a meeting that is shortened, or that has events in it. */
const props = defineProps<{ form: ReturnType<typeof useYearForm> }>()
const { fields, put } = props.form
const FREE_TIMES: { readonly label: string; readonly value: FreeTime }[] = [
  { label: 'its longest free run', value: 'longest-run' },
  { label: 'all its free minutes', value: 'sum' },
]
</script>

<template>
  <fieldset v-if="fields" class="grid gap-2">
    <legend class="text-sm font-semibold mb-1">Meetings that are not whole</legend>
    <label class="flex gap-2 items-center flex-wrap text-sm"
      >A shortened meeting is whole from
      <UInput
        type="number"
        class="!w-18"
        name="wholeFrom"
        min="50"
        max="100"
        :model-value="Math.round((fields.wholeFromRatio ?? WHOLE_FROM) * 100)"
        @update:model-value="put({ wholeFromRatio: Number($event) / 100 })"
      />
      % of its minutes, else half.</label
    >
    <label class="flex gap-2 items-center flex-wrap text-sm"
      >Of a meeting with events in it counts
      <USelect
        :model-value="fields.freeTime ?? 'longest-run'"
        :items="FREE_TIMES"
        size="sm"
        class="w-48"
        data-hook="free-time"
        @update:model-value="put({ freeTime: $event })"
    /></label>
  </fieldset>
</template>

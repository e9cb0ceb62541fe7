<script setup lang="ts">
import type { IsoDay } from '#core/base'
import type { DayNote, DayNoteKind } from '#core/calendar'
import DayField from '~/shared/fields/DayField.vue'

const notes = defineModel<readonly DayNote[]>({ required: true })
defineProps<{ today: IsoDay }>()
const emit = defineEmits<{ add: [kind: 'closure' | 'short'] }>()
const KINDS = [
  { label: 'Closed', value: 'closure' },
  { label: 'Short day', value: 'short' },
  { label: 'Event', value: 'event' },
] satisfies readonly { label: string; value: DayNoteKind }[]

const patch = (at: number, part: Partial<DayNote>) => {
  notes.value = notes.value.map((n, i) => (i === at ? { ...n, ...part } : n))
}
const setKind = (at: number, kind: DayNoteKind) =>
  patch(at, { kind, factorRatio: kind === 'short' ? (notes.value[at]?.factorRatio ?? 0.5) : undefined })
function setFrom(at: number, fromOn: IsoDay): void {
  const throughOn = notes.value[at]?.throughOn ?? fromOn
  patch(at, { fromOn, throughOn: throughOn < fromOn ? fromOn : throughOn })
}
const remove = (at: number) => {
  notes.value = notes.value.filter((_, i) => i !== at)
}
</script>

<template>
  <fieldset class="grid gap-1.5">
    <legend class="text-sm font-semibold mb-1">
      Closures and short days <span class="said font-normal">{{ notes.length }}</span>
    </legend>
    <div v-for="(n, i) in notes" :key="n.id" class="flex gap-2 items-start flex-wrap" data-hook="note">
      <USelect
        class="w-28"
        :items="KINDS"
        :model-value="n.kind"
        :aria-label="`Kind of note ${i + 1}`"
        @update:model-value="setKind(i, $event)"
      />
      <UInput
        class="!w-40"
        :model-value="n.name"
        maxlength="80"
        :aria-label="`Name of note ${i + 1}`"
        @update:model-value="patch(i, { name: String($event) })"
      />
      <DayField
        class="w-40"
        :model-value="n.fromOn"
        :label="`First day of note ${i + 1}`"
        :today="today"
        @update:model-value="$event && setFrom(i, $event)"
      />
      <DayField
        class="w-40"
        :model-value="n.throughOn"
        :label="`Last day of note ${i + 1}`"
        :today="today"
        @update:model-value="$event && patch(i, { throughOn: $event })"
      />
      <UInput
        v-if="n.kind === 'short'"
        type="number"
        class="!w-18"
        min="10"
        max="100"
        :model-value="Math.round((n.factorRatio ?? 1) * 100)"
        :aria-label="`Percent of the usual time, note ${i + 1}`"
        @update:model-value="patch(i, { factorRatio: Number($event) / 100 })"
      />
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove note ${i + 1}`"
        @click="remove(i)"
      />
    </div>
    <div class="flex gap-2">
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-plus"
        data-hook="add-closure"
        @click="emit('add', 'closure')"
        >Closure</UButton
      ><UButton size="xs" color="neutral" variant="ghost" icon="i-lucide-plus" @click="emit('add', 'short')"
        >Short day</UButton
      >
    </div>
  </fieldset>
</template>

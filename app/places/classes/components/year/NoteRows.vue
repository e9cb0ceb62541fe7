<script setup lang="ts">
import type { IsoDay } from '#core/base'
import type { DayNote, DayNoteKind } from '#core/calendar'
import DayField from '~/shared/fields/DayField.vue'

const notes = defineModel<readonly DayNote[]>({ required: true })
defineProps<{ today: IsoDay }>()
const emit = defineEmits<{ add: [kind: 'closure' | 'short']; look: [note: DayNote | null] }>()
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
    <div
      v-for="(n, i) in notes"
      :key="n.id"
      class="row"
      :class="{ short: n.kind === 'short' }"
      data-hook="note"
      @focusin="emit('look', n)"
      @focusout="emit('look', null)"
    >
      <USelect
        class="kind"
        :items="KINDS"
        :model-value="n.kind"
        :aria-label="`Kind of note ${i + 1}`"
        @update:model-value="setKind(i, $event)"
      />
      <UInput
        class="name"
        :model-value="n.name"
        maxlength="80"
        :aria-label="`Name of note ${i + 1}`"
        @update:model-value="patch(i, { name: String($event) })"
      />
      <DayField
        :model-value="n.fromOn"
        :label="`First day of note ${i + 1}`"
        :today="today"
        @update:model-value="$event && setFrom(i, $event)"
      />
      <DayField
        :model-value="n.throughOn"
        :label="`Last day of note ${i + 1}`"
        :today="today"
        @update:model-value="$event && patch(i, { throughOn: $event })"
      />
      <UInput
        v-if="n.kind === 'short'"
        type="number"
        class="part"
        min="10"
        max="100"
        :model-value="Math.round((n.factorRatio ?? 1) * 100)"
        :aria-label="`Percent of the usual time, note ${i + 1}`"
        @update:model-value="patch(i, { factorRatio: Number($event) / 100 })"
      />
      <UButton
        class="off"
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

<style scoped>
/* one line a note: what it is, its name, its days, and what a short day keeps */
.row {
  display: grid;
  grid-template-columns: 6.8rem minmax(0, 1fr) 10.3rem 10.3rem 3.6rem 2rem;
  gap: 0.35rem;
  align-items: start;
}
.off {
  grid-column: -2;
}
@media (max-width: 47rem) {
  .row {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    padding-block: 0.4rem;
    border-bottom: 1px solid var(--ui-border-muted);
  }
  .off {
    grid-column: auto;
    justify-self: start;
  }
}
</style>

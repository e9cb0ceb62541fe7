<script setup lang="ts">
import { computed } from 'vue'
import { MOST_CELLS, ORGANISER_KINDS, cellsOf } from '#core/versions'
import type { Organiser, OrganiserCell, OrganiserKind } from '#core/versions'
import { ORGANISER_WORDS } from '../../words/parts'
import LinesForm from './LinesForm.vue'

/** What an organiser looks like, and which of its cells are filled in from the start. */
const props = defineProps<{ organiser: Organiser | null }>()
const emit = defineEmits<{ organiser: [organiser: Organiser] }>()
const KINDS = ORGANISER_KINDS.map((value) => ({ value, label: ORGANISER_WORDS[value] }))
const BEGINNINGS: Record<OrganiserKind, Organiser> = {
  table: { kind: 'table', columns: ['What I saw', 'What it shows'], rows: ['First', 'Second'], filled: {} },
  web: { kind: 'web', centre: 'The main thought', branches: 4, filled: {} },
  'time-line': { kind: 'time-line', points: 4, filled: {} },
  claim: { kind: 'claim', reasons: 2, filled: {} },
}
const cells = computed(() => (props.organiser ? cellsOf(props.organiser) : []))
const number = computed(() => {
  const { organiser } = props
  if (organiser?.kind === 'web') return { name: 'Thoughts', value: organiser.branches }
  if (organiser?.kind === 'time-line') return { name: 'Points', value: organiser.points }
  if (organiser?.kind === 'claim') return { name: 'Reasons', value: organiser.reasons }
  return null
})
function setNumber(to: number): void {
  const { organiser } = props
  const value = Math.max(1, Math.min(Math.round(to) || 1, MOST_CELLS / 3))
  if (organiser?.kind === 'web') emit('organiser', { ...organiser, branches: value })
  if (organiser?.kind === 'time-line') emit('organiser', { ...organiser, points: value })
  if (organiser?.kind === 'claim') emit('organiser', { ...organiser, reasons: value })
}
function fill(cell: OrganiserCell, text: string): void {
  const { organiser } = props
  if (!organiser) return
  const { [cell.id]: _, ...others } = organiser.filled
  emit('organiser', { ...organiser, filled: text === '' ? others : { ...others, [cell.id]: text } })
}
function nameOf({ of, id }: OrganiserCell): string {
  return of.kind === 'table' ? `${of.row}: ${of.column}` : id
}
</script>

<template>
  <div class="grid gap-2">
    <USelect
      size="sm"
      class="w-56"
      :model-value="organiser?.kind"
      :items="KINDS"
      placeholder="Choose a form"
      aria-label="Form of the organiser"
      data-hook="organiser-kind"
      @update:model-value="emit('organiser', BEGINNINGS[$event as OrganiserKind])"
    />
    <template v-if="organiser?.kind === 'table'">
      <p class="said">Columns, one a line</p>
      <LinesForm
        :lines="organiser.columns"
        name="Columns"
        @lines="emit('organiser', { ...organiser, columns: $event })"
      />
      <p class="said">Rows, one a line</p>
      <LinesForm
        :lines="organiser.rows"
        name="Rows"
        @lines="emit('organiser', { ...organiser, rows: $event })"
      />
    </template>
    <UInput
      v-if="organiser?.kind === 'web'"
      size="sm"
      :model-value="organiser.centre"
      maxlength="120"
      aria-label="In the middle"
      @update:model-value="emit('organiser', { ...organiser, centre: String($event) })"
    />
    <div v-if="number" class="flex gap-2 items-center">
      <UInput
        type="number"
        size="sm"
        class="w-20"
        min="1"
        :max="MOST_CELLS / 3"
        :model-value="number.value"
        :aria-label="number.name"
        @update:model-value="setNumber(Number($event))"
      />
      <span>{{ number.name.toLowerCase() }}</span>
    </div>
    <details v-if="cells.length">
      <summary class="cursor-pointer">Cells that are filled in from the start</summary>
      <div class="grid gap-1 mt-1">
        <label v-for="cell in cells" :key="cell.id" class="grid gap-0.5 text-sm">
          <span class="said">{{ nameOf(cell) }}</span>
          <UInput
            size="sm"
            :model-value="cell.given ?? ''"
            maxlength="200"
            placeholder="left to the learner"
            @update:model-value="fill(cell, String($event))"
          />
        </label>
      </div>
    </details>
  </div>
</template>

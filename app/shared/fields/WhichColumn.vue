<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { TableSeen } from '#core/formats'

/** Asks which column of a table is what; shows how it was taken, and a few of its rows. */
const props = defineProps<{
  table: TableSeen
  /** What a column may be, in words, by its name. */
  names: Readonly<Record<string, string>>
  /** Nothing could be made of it: it is asked at once. */
  isNeeded: boolean
}>()
const emit = defineEmits<{ choose: [at: Readonly<Record<string, number>>] }>()
const NOTHING = 'nothing'
const isOpen = ref(props.isNeeded)
watch(
  () => props.isNeeded,
  (needed) => {
    if (needed) isOpen.value = true
  },
)
const width = computed(() =>
  Math.max(props.table.head.length, ...props.table.sample.map((row) => row.length), 1),
)
const columns = computed(() =>
  Array.from({ length: width.value }, (_, i) => ({
    number: i,
    head: props.table.head[i] ?? '',
    is: Object.keys(props.names).find((name) => props.table.at[name] === i) ?? NOTHING,
  })),
)
const items = computed(() => [
  { label: 'not used', value: NOTHING },
  ...Object.entries(props.names).map(([value, label]) => ({ label, value })),
])
const said = computed(() =>
  columns.value
    .filter((c) => c.is !== NOTHING)
    .map((c) => `${props.names[c.is] ?? c.is}: ${c.head || `column ${c.number + 1}`}`)
    .join(' · '),
)
function choose(column: number, name: string): void {
  const kept = Object.entries(props.table.at).filter(([of, at]) => at !== column && of !== name)
  const at = Object.fromEntries(name === NOTHING ? kept : [...kept, [name, column]])
  const { headed } = props.table
  emit('choose', headed === 'known' ? at : { ...at, headed: headed === 'said' ? 1 : 0 })
}
</script>

<template>
  <section aria-label="Which column is what" data-hook="which-column">
    <p class="text-sm flex flex-wrap gap-x-2 items-center">
      <span>{{ said || 'No column is known by its heading.' }}</span>
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        :aria-expanded="isOpen"
        data-hook="columns-open"
        @click="
          () => {
            isOpen = !isOpen
          }
        "
        >Which column is what</UButton
      >
    </p>
    <UCheckbox
      v-if="isOpen && table.headed !== 'known'"
      class="mt-2"
      label="The first row heads the columns"
      :model-value="table.headed === 'said'"
      @update:model-value="(is) => emit('choose', { ...table.at, headed: is ? 1 : 0 })"
    />
    <div v-if="isOpen" class="scroller mt-2" tabindex="0" role="region" aria-label="The table’s first rows">
      <table class="grid-table">
        <thead>
          <tr>
            <th v-for="c in columns" :key="c.number" scope="col">
              <span class="block mb-1">{{ c.head || `Column ${c.number + 1}` }}</span>
              <USelect
                :model-value="c.is"
                :items="items"
                class="min-w-36"
                :aria-label="`What is ${c.head || `column ${c.number + 1}`}`"
                @update:model-value="(name) => choose(c.number, name)"
              />
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in table.sample" :key="i">
            <td v-for="c in columns" :key="c.number">{{ row[c.number] ?? '' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

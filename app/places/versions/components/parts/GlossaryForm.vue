<script setup lang="ts">
import { computed } from 'vue'
import type { GlossaryEntry } from '#core/versions'

/** Words with what they mean, and what they are called in another language. */
const props = defineProps<{ entries: readonly GlossaryEntry[] }>()
const emit = defineEmits<{ entries: [entries: readonly GlossaryEntry[]] }>()
const EMPTY: GlossaryEntry = { word: '', meaning: '', translation: '' }
const COLUMNS = [
  { field: 'word', head: 'Word', label: 'Word', most: 80 },
  { field: 'meaning', head: 'Meaning', label: 'Meaning of word', most: 400 },
  { field: 'translation', head: 'Translated', label: 'Translation of word', most: 120 },
] as const
/** With an empty row to write on. */
const rows = computed(() => [...props.entries, EMPTY])
function set(at: number, part: Partial<GlossaryEntry>): void {
  const next = rows.value.map((row, i) => (i === at ? { ...row, ...part } : row))
  emit(
    'entries',
    next.filter((row) => row.word + row.meaning + row.translation !== ''),
  )
}
</script>

<template>
  <table class="w-full">
    <thead>
      <tr class="said text-left">
        <th v-for="c in COLUMNS" :key="c.field" scope="col">{{ c.head }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(row, i) in rows" :key="i">
        <td v-for="c in COLUMNS" :key="c.field">
          <UInput
            size="sm"
            :model-value="row[c.field]"
            :maxlength="c.most"
            :aria-label="`${c.label} ${i + 1}`"
            @update:model-value="set(i, { [c.field]: String($event) })"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

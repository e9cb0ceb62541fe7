<script setup lang="ts">
import { computed } from 'vue'
import type { GlossaryEntry } from '#core/versions'

/** Words with what they mean, and what they are called in another language. */
const props = defineProps<{ entries: readonly GlossaryEntry[] }>()
const emit = defineEmits<{ entries: [entries: readonly GlossaryEntry[]] }>()
const EMPTY: GlossaryEntry = { word: '', meaning: '', translation: '' }
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
        <th scope="col">Word</th>
        <th scope="col">Meaning</th>
        <th scope="col">Translated</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(row, i) in rows" :key="i">
        <td>
          <UInput
            size="sm"
            :model-value="row.word"
            maxlength="80"
            :aria-label="`Word ${i + 1}`"
            @update:model-value="set(i, { word: String($event) })"
          />
        </td>
        <td>
          <UInput
            size="sm"
            :model-value="row.meaning"
            maxlength="400"
            :aria-label="`Meaning of word ${i + 1}`"
            @update:model-value="set(i, { meaning: String($event) })"
          />
        </td>
        <td>
          <UInput
            size="sm"
            :model-value="row.translation"
            maxlength="120"
            :aria-label="`Translation of word ${i + 1}`"
            @update:model-value="set(i, { translation: String($event) })"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { LessonRow, TableMerge } from '#core/pacing'
import { ReadPlanTable } from '#shared/contracts/plans'
import { useDryRun } from '../../composables/dryRun'
import { useColumnsKept } from '~/shared/fields/columnsKept'
import { call } from '~/shared/wire/call'
import { PLAN_COLUMN_WORDS, PLAN_ROW_WORDS } from '../../words/faults'
import { count } from '~/shared/words/numbers'
import TableTrial from '../TableTrial.vue'
import TextOrFile from '../TextOrFile.vue'

const props = defineProps<{ merged: (rows: readonly LessonRow[]) => TableMerge | null }>()
const emit = defineEmits<{ take: [merge: TableMerge] }>()
const text = ref('')
const skipBad = ref(false)
const columns = useColumnsKept('plan')
watch(text, () => {
  columns.chosen.value = null
  skipBad.value = false
})
const { reading, problem, again } = useDryRun(text, (text) =>
  call(ReadPlanTable, { body: { text, columns: columns.chosen.value } }),
)
/** A table with these headings may be known from before. */
watch(reading, (read) => {
  const before = read && columns.known(read.table)
  if (before) choose(before)
})
function choose(at: Readonly<Record<string, number>>): void {
  if (!reading.value) return
  columns.choose(reading.value.table, at)
  void again()
}
const merge = computed(() => (reading.value ? props.merged(reading.value.rows) : null))
function take(): void {
  if (!merge.value) return
  emit('take', merge.value)
  text.value = ''
}
</script>

<template>
  <div class="grid gap-2" data-hook="plan-paste">
    <TextOrFile
      v-model="text"
      label="Rows from a spreadsheet, or a CSV file"
      accept=".csv,.tsv,.txt,text/csv,text/plain"
      :rows="5"
      :most-bytes="500_000"
      placeholder="Number	Title	Usual	Fixed&#10;W2.3	Echoes	2	&#10;W2.7	Test	1	2026-11-16"
      @too-large="problem = 'This file is too large for a plan (at most 500 kB).'"
    />
    <p class="said">
      Columns: unit, number, title, kind, weight, least, usual, most, fixed, not after a break. The number
      tells which lesson is meant; empty cells leave it as it is.
    </p>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <div v-if="reading && merge" class="grid gap-1 text-sm" role="status">
      <p>
        <b>{{ count(merge.changed.length, 'lesson') }}</b> would change, <b>{{ merge.added.length }}</b> would
        be added<template v-if="reading.bad.length"
          >, <b class="text-error">{{ count(reading.bad.length, 'row') }} cannot be read</b></template
        >.
      </p>
      <TableTrial
        v-model:skip-bad="skipBad"
        :table="reading.table"
        :good="reading.rows.length"
        :bad="reading.bad"
        :names="PLAN_COLUMN_WORDS"
        :faults="PLAN_ROW_WORDS"
        @choose="choose"
      />
      <UButton
        class="justify-self-start"
        size="xs"
        :disabled="(reading.bad.length > 0 && !skipBad) || merge.changed.length + merge.added.length === 0"
        data-hook="take-rows"
        @click="take"
        >Take these rows in</UButton
      >
    </div>
  </div>
</template>

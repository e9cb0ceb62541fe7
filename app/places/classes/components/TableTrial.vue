<script setup lang="ts" generic="Fault extends string">
import { computed } from 'vue'
import type { TableSeen } from '#core/formats'
import TableLines from '~/shared/fields/TableLines.vue'
import WhichColumn from '~/shared/fields/WhichColumn.vue'
import { LEFT_LINE_WORDS } from '../words/faults'

/** How a table was taken: which column is what, which lines are no rows, and which rows cannot be read. */
const props = defineProps<{
  table: TableSeen
  /** Rows that can be read. */
  good: number
  bad: readonly { readonly line: number; readonly fault: Fault; readonly text: string }[]
  names: Readonly<Record<string, string>>
  faults: Readonly<Record<Fault, string>>
}>()
const emit = defineEmits<{ choose: [at: Readonly<Record<string, number>>] }>()
/** Whether bad rows are left out. */
const skipBad = defineModel<boolean>('skipBad', { required: true })
const lineOf = (line: number, words: string, shown: string) => ({
  line,
  text: shown === '' ? words : `${words}: “${shown}”`,
})
const leftOut = computed(() => props.table.left.map((l) => lineOf(l.line, LEFT_LINE_WORDS[l.why], l.text)))
const badLines = computed(() => props.bad.map((b) => lineOf(b.line, props.faults[b.fault], b.text)))
</script>

<template>
  <WhichColumn
    :table="table"
    :names="names"
    :is-needed="good === 0 || bad.length > good"
    @choose="emit('choose', $event)"
  />
  <TableLines v-if="leftOut.length" :lines="leftOut" />
  <TableLines v-if="badLines.length" :lines="badLines" needs />
  <UCheckbox v-if="bad.length" v-model="skipBad" label="Leave these rows out" data-hook="skip-bad" />
</template>

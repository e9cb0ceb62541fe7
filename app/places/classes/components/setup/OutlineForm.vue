<script setup lang="ts">
import { reactive, ref, shallowRef, watch } from 'vue'
import type { OutlineReading } from '#core/formats'
import { MakePlan, ReadOutline } from '#shared/contracts/plans'
import { useColumnsKept } from '~/shared/fields/columnsKept'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { namedFields, useContractForm } from '~/shared/fields/form'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { OUTLINE_COLUMN_WORDS, OUTLINE_FAULT_WORDS } from '../../words/faults'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import TableTrial from '../TableTrial.vue'
import TextOrFile from '../TextOrFile.vue'

const emit = defineEmits<{ made: [] }>()
const tell = useTell()
const state = reactive({ title: '', course: '', text: '' })
const reading = shallowRef<OutlineReading | null>(null)
const skipBad = ref(false)
const columns = useColumnsKept('outline')
const form = useContractForm({
  schema: MakePlan.body,
  body: () => ({ ...state }),
  say: namedFields({ title: 'Title', course: 'Course' }, 'The outline'),
  send: () => call(MakePlan, { body: { ...state, columns: columns.chosen.value, skipBad: skipBad.value } }),
  done: () => {
    tell.done('The plan is made. Lay it onto classes next.')
    state.text = ''
    emit('made')
  },
})
watch(
  () => state.text,
  () => {
    reading.value = null
    form.problem.value = ''
    columns.chosen.value = null
    skipBad.value = false
  },
)
async function read(): Promise<void> {
  const reply = await call(ReadOutline, { body: { text: state.text, columns: columns.chosen.value } })
  reading.value = reply.ok ? reply.value : null
  form.problem.value = reply.ok ? '' : sayRefusal(reply.error)
  const before = reply.ok ? columns.known(reply.value.table) : null
  if (before) choose(before)
}
function choose(at: Readonly<Record<string, number>>): void {
  if (reading.value) columns.choose(reading.value.table, at)
  void read()
}
function tooLarge(): void {
  form.problem.value = 'This file is too large for an outline (at most 500 kB).'
}
const units = () => new Set(reading.value?.lessons.map((l) => l.unit)).size
const sum = (unit: 'meetings' | 'minutes') =>
  reading.value?.lessons.reduce((n, { length }) => n + (length.unit === unit ? length.typical : 0), 0) ?? 0
const lengths = () =>
  [
    ...(sum('meetings') > 0 ? [count(sum('meetings'), 'meeting')] : []),
    ...(sum('minutes') > 0 ? [count(sum('minutes'), 'minute')] : []),
  ].join(' and ')
</script>

<template>
  <ContractForm class="grid gap-3" data-hook="outline-form" :form="form" :state="state">
    <div class="grid sm:grid-cols-2 gap-3">
      <UFormField label="Title" name="title"
        ><UInput
          v-model="state.title"
          name="title"
          maxlength="80"
          placeholder="Science 8, our order" /></UFormField
      ><UFormField label="Course" name="course"
        ><UInput v-model="state.course" name="course" maxlength="60" placeholder="Science 8"
      /></UFormField>
    </div>
    <TextOrFile
      v-model="state.text"
      label="Outline: unit, lesson, meetings"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      :most-bytes="500_000"
      placeholder="Vibrations,What a vibration is,1&#10;,Period and frequency,2&#10;Waves,From a pulse to a wave,1.5"
      @too-large="tooLarge"
    />
    <div v-if="reading" class="grid gap-1 text-sm" role="status" data-hook="outline-trial">
      <p>
        <b>{{ count(reading.lessons.length, 'lesson') }}</b> in {{ count(units(), 'unit') }}, {{ lengths()
        }}<template v-if="reading.bad.length"
          >, <b class="text-error">{{ count(reading.bad.length, 'row') }} cannot be read</b></template
        >.
      </p>
      <TableTrial
        v-model:skip-bad="skipBad"
        :table="reading.table"
        :good="reading.lessons.length"
        :bad="reading.bad"
        :names="OUTLINE_COLUMN_WORDS"
        :faults="OUTLINE_FAULT_WORDS"
        @choose="choose"
      />
    </div>
    <template #acts="{ isSending }">
      <div class="flex gap-2">
        <UButton
          type="button"
          variant="outline"
          :disabled="!state.text.trim()"
          data-hook="read-outline"
          @click="read"
          >Read it first</UButton
        ><UButton
          v-if="reading && reading.lessons.length > 0 && (reading.bad.length === 0 || skipBad)"
          type="submit"
          :loading="isSending"
          data-hook="make-plan"
          >Make the plan</UButton
        >
      </div>
    </template>
  </ContractForm>
</template>

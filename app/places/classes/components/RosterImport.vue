<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import { AddRoster, ReadRoster } from '#shared/contracts/teaching'
import type { RosterTrial } from '#shared/contracts/teaching'
import { useColumnsKept } from '~/shared/fields/columnsKept'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { ROSTER_COLUMN_WORDS, ROSTER_FAULT_WORDS } from '../words/faults'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import TableTrial from './TableTrial.vue'
import TextOrFile from './TextOrFile.vue'

const props = defineProps<{ classId: ClassId }>()
const emit = defineEmits<{ added: [] }>()
const tell = useTell()
const text = ref('')
const trial = shallowRef<RosterTrial | null>(null)
const problem = ref('')
const skipBad = ref(false)
const busy = ref(false)
const withOthers = ref(false)
const columns = useColumnsKept('roster')
watch(text, () => {
  trial.value = null
  problem.value = ''
  columns.chosen.value = null
  skipBad.value = false
  withOthers.value = false
})
const body = () => ({ text: text.value, columns: columns.chosen.value, withOthers: withOthers.value })

async function read(): Promise<void> {
  busy.value = true
  const reply = await call(ReadRoster, { params: { classId: props.classId }, body: body() })
  busy.value = false
  trial.value = reply.ok ? reply.value : null
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  const before = reply.ok ? columns.known(reply.value.table) : null
  if (before) choose(before)
}
function choose(at: Readonly<Record<string, number>>): void {
  if (trial.value) columns.choose(trial.value.table, at)
  void read()
}
async function add(): Promise<void> {
  busy.value = true
  const reply = await call(AddRoster, {
    params: { classId: props.classId },
    body: { ...body(), skipBad: skipBad.value },
  })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  tell.done(`${count(reply.value.added, 'learner')} added`)
  text.value = ''
  emit('added')
}
</script>

<template>
  <section class="grid gap-3 max-w-2xl" data-hook="roster-import">
    <TextOrFile
      v-model="text"
      label="Paste names, one a line, or rows from a spreadsheet"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      :most-bytes="500_000"
      carried="roster"
      placeholder="name,sign-in,groups,grade&#10;Ada Example,ada,Front row;Lab leads,8"
      @too-large="problem = 'This file is too large for a roster (at most 500 kB).'"
    />
    <div class="flex gap-2">
      <UButton
        :loading="busy"
        :disabled="!text.trim()"
        variant="outline"
        data-hook="read-roster"
        @click="read"
        >Read it first</UButton
      >
    </div>
    <div v-if="trial" class="grid gap-2" role="status" data-hook="roster-trial">
      <p>
        <b>{{ count(trial.fresh.length, 'learner') }}</b> to add<template v-if="trial.known.length"
          >, {{ trial.known.length }} already in the class</template
        ><template v-if="trial.graded.length"
          >, of whom {{ trial.graded.length }} {{ trial.graded.length === 1 ? 'gets' : 'get' }} a
          grade</template
        ><template v-if="trial.bad.length"
          >, <b class="text-error">{{ count(trial.bad.length, 'row') }} cannot be read</b></template
        >.
      </p>
      <TableTrial
        v-model:skip-bad="skipBad"
        :table="trial.table"
        :good="trial.entries.length"
        :bad="trial.bad"
        :names="ROSTER_COLUMN_WORDS"
        :faults="ROSTER_FAULT_WORDS"
        @choose="choose"
      />
      <UCheckbox
        v-if="trial.elsewhere.length || withOthers"
        v-model="withOthers"
        :label="`Take learners of other classes into this one, too${
          trial.elsewhere.length
            ? `: ${trial.elsewhere.map((e) => `${e.count} of ${e.className}`).join(', ')}`
            : ''
        }`"
        data-hook="with-others"
        @update:model-value="read"
      />
      <p v-if="trial.fresh.length" class="said">
        {{ trial.fresh.slice(0, 8).join(', ')
        }}<template v-if="trial.fresh.length > 8"> and {{ trial.fresh.length - 8 }} more</template>
      </p>
      <UButton
        class="justify-self-start"
        :loading="busy"
        :disabled="trial.fresh.length + trial.graded.length === 0 || (trial.bad.length > 0 && !skipBad)"
        data-hook="add-roster"
        @click="add"
        >{{
          trial.fresh.length
            ? `Add ${count(trial.fresh.length, 'learner')}`
            : `Set ${count(trial.graded.length, 'grade')}`
        }}</UButton
      >
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  </section>
</template>

<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import type { OutlineReading } from '#core/formats'
import { MakePlan, ReadOutline } from '#shared/contracts/teaching'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { OUTLINE_FAULT_WORDS } from '../../words/faults'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import TextOrFile from '../TextOrFile.vue'

const emit = defineEmits<{ made: [] }>()
const tell = useTell()
const title = ref('')
const course = ref('')
const text = ref('')
const reading = shallowRef<OutlineReading | null>(null)
const problem = ref('')
const busy = ref(false)
watch(text, () => {
  reading.value = null
  problem.value = ''
})
async function read(): Promise<void> {
  const reply = await call(ReadOutline, { body: { text: text.value } })
  reading.value = reply.ok ? reply.value : null
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
}
async function make(): Promise<void> {
  busy.value = true
  const reply = await call(MakePlan, { body: { title: title.value, course: course.value, text: text.value } })
  busy.value = false
  if (!reply.ok) {
    problem.value =
      reply.error.code === 'input/invalid'
        ? `${reply.error.field === 'title' ? 'Title' : 'Course'} ${reply.error.problem}.`
        : sayRefusal(reply.error)
    return
  }
  tell.done('The plan is made. Lay it onto classes next.')
  text.value = ''
  emit('made')
}
const units = () => new Set(reading.value?.lessons.map((l) => l.unit)).size
const meetings = () => reading.value?.lessons.reduce((n, l) => n + l.meetings, 0) ?? 0
</script>

<template>
  <form class="grid gap-3" novalidate data-hook="outline-form" @submit.prevent="reading ? make() : read()">
    <div class="grid sm:grid-cols-2 gap-3">
      <UFormField label="Title"
        ><UInput v-model="title" name="title" maxlength="80" placeholder="Science 8, our order" /></UFormField
      ><UFormField label="Course"
        ><UInput v-model="course" name="course" maxlength="60" placeholder="Science 8"
      /></UFormField>
    </div>
    <TextOrFile
      v-model="text"
      label="Outline: unit, lesson, meetings"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      :most-bytes="500_000"
      placeholder="Vibrations,What a vibration is,1&#10;,Period and frequency,2&#10;Waves,From a pulse to a wave,1.5"
      @too-large="problem = 'This file is too large for an outline (at most 500 kB).'"
    />
    <div v-if="reading" class="grid gap-1 text-sm" role="status" data-hook="outline-trial">
      <p>
        <b>{{ count(reading.lessons.length, 'lesson') }}</b> in {{ count(units(), 'unit') }},
        {{ meetings() }} meetings<template v-if="reading.bad.length"
          >, <b class="text-error">{{ count(reading.bad.length, 'row') }} cannot be read</b></template
        >.
      </p>
      <p v-for="b in reading.bad" :key="b.line" class="note-line needs">
        Line {{ b.line }}: {{ OUTLINE_FAULT_WORDS[b.fault]
        }}<template v-if="b.text"> (“{{ b.text }}”)</template>
      </p>
    </div>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <div class="flex gap-2">
      <UButton type="button" variant="outline" :disabled="!text.trim()" data-hook="read-outline" @click="read"
        >Read it first</UButton
      ><UButton
        v-if="reading && reading.bad.length === 0"
        type="button"
        :loading="busy"
        data-hook="make-plan"
        @click="make"
        >Make the plan</UButton
      >
    </div>
  </form>
</template>

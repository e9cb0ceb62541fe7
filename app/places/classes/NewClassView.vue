<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, reactive, ref } from 'vue'
import type { PatternRow } from '#core/calendar'
import { MakeClass } from '#shared/contracts/teaching'
import { useDesk } from '~/places/pace'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { fieldOf, sayRefusal } from '~/shared/words/refusals'
import PatternRows from './components/PatternRows.vue'

useHead({ title: 'New class · Step Cairn' })
const store = useOverview()
const form = reactive<{ name: string; shortName: string; course: string; pattern: readonly PatternRow[] }>({
  name: '',
  shortName: '',
  course: '',
  pattern: [],
})
const problem = ref<{ field: string | null; text: string } | null>(null)
const busy = ref(false)
const year = computed(() => store.overview?.years[0]?.year ?? null)
onMounted(async () => {
  await store.load(true)
  const label = year.value?.rotation?.labels[0]
  form.pattern = label
    ? [{ day: { label }, startMinute: 510, minutes: 80 }]
    : ([1, 3, 5] as const)
        .filter((d) => year.value?.weekdays.includes(d))
        .map((weekday) => ({ day: { weekday }, startMinute: 510, minutes: 50 }))
})
const WORDS: Record<string, string> = { name: 'Name', shortName: 'Short name', course: 'Course' }
async function save(): Promise<void> {
  if (!year.value) return
  busy.value = true
  const reply = await call(MakeClass, {
    body: { ...form, pattern: form.pattern, yearId: year.value.id },
  })
  busy.value = false
  if (reply.ok) {
    await useDesk().load(true)
    return void navigateTo(`/classes/${reply.value.classId}`)
  }
  problem.value = {
    field: fieldOf(reply.error),
    text:
      reply.error.code === 'input/invalid'
        ? `${WORDS[reply.error.field] ?? 'The meeting pattern'} ${reply.error.problem}.`
        : sayRefusal(reply.error),
  }
}
const errorOf = (f: string) => (problem.value?.field === f ? problem.value.text : undefined)
</script>

<template>
  <form class="p-5 max-w-xl grid gap-4" novalidate @submit.prevent="save">
    <h1>New class</h1>
    <p v-if="store.overview && !year">
      Make a <NuxtLink class="plain" to="/classes/year">school year</NuxtLink> first.
    </p>
    <template v-else-if="year">
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <UFormField label="Name" :error="errorOf('name')"
          ><UInput
            v-model="form.name"
            name="name"
            maxlength="60"
            placeholder="Science 8 A"
            autofocus /></UFormField
        ><UFormField label="Short name" :error="errorOf('shortName')"
          ><UInput v-model="form.shortName" name="shortName" maxlength="8" placeholder="8 A"
        /></UFormField>
      </div>
      <UFormField label="Course" :error="errorOf('course')"
        ><UInput v-model="form.course" name="course" maxlength="60" placeholder="Science 8"
      /></UFormField>
      <PatternRows v-model="form.pattern" :year="year" />
      <p
        v-if="problem && !['name', 'shortName', 'course'].includes(problem.field ?? '')"
        class="note-line needs"
        role="alert"
      >
        {{ problem.text }}
      </p>
      <div class="flex gap-2">
        <UButton type="submit" size="md" :loading="busy" data-hook="save-class">Make the class</UButton
        ><UButton size="md" to="/classes" color="neutral" variant="ghost">Back</UButton>
      </div>
    </template>
  </form>
</template>

<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { ClassId, PlanId } from '#core/base'
import { checkPattern, meetings } from '#core/calendar'
import type { PatternRow } from '#core/calendar'
import { LayPlan, MakeClass } from '#shared/contracts/teaching'
import { useDesk } from '~/places/pace'
import { useTell } from '~/shared/frame/tell'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { fieldOf, sayRefusal } from '~/shared/words/refusals'
import PatternRows from './components/PatternRows.vue'
import { shortNameOf } from './shortName'

useHead({ title: 'New class · Step Cairn' })
const LATER = 'later'
const store = useOverview()
const tell = useTell()
const form = reactive<{ name: string; shortName: string; course: string; pattern: readonly PatternRow[] }>({
  name: '',
  shortName: '',
  course: '',
  pattern: [],
})
const plan = ref<PlanId | typeof LATER>(LATER)
const problem = ref<{ field: string | null; text: string } | null>(null)
const busy = ref(false)
const year = computed(() => store.overview?.years[0]?.year ?? null)
const planItems = computed(() => [
  { label: 'Later', value: LATER },
  ...(store.overview?.plans ?? []).map((p) => ({ label: `${p.title} (${p.course})`, value: p.id })),
])

onMounted(async () => {
  await store.load(true)
  const label = year.value?.rotation?.labels[0]
  form.pattern = label
    ? [{ day: { label }, startMinute: 510, minutes: 80 }]
    : ([1, 3, 5] as const)
        .filter((d) => year.value?.weekdays.includes(d))
        .map((weekday) => ({ day: { weekday }, startMinute: 510, minutes: 50 }))
})
// proposed until the teacher writes another one
watch(
  () => form.name,
  (name, before) => {
    if (form.shortName === '' || form.shortName === shortNameOf(before)) form.shortName = shortNameOf(name)
  },
)
/** What the pattern comes to this year, or why it cannot stand. */
const outlook = computed(() => {
  if (!year.value || form.pattern.length === 0) return null
  const checked = checkPattern(year.value, form.pattern)
  if (!checked.ok) return { isFault: true, text: sayRefusal(checked.error) }
  const calendar = meetings(year.value, 'new' as ClassId, form.pattern, [])
  const lost = calendar.lost.length > 0 ? `, ${calendar.lost.length} lost` : ''
  return { isFault: false, text: `${count(calendar.meetings.length, 'meeting')} this year${lost}` }
})

const WORDS: Record<string, string> = { name: 'Name', shortName: 'Short name', course: 'Course' }
async function save(): Promise<void> {
  if (!year.value) return
  busy.value = true
  const reply = await call(MakeClass, { body: { ...form, yearId: year.value.id } })
  if (reply.ok) return made(reply.value.classId)
  busy.value = false
  const { error } = reply
  const text =
    error.code === 'input/invalid'
      ? `${WORDS[error.field] ?? 'The meeting pattern'} ${error.problem}.`
      : sayRefusal(error)
  problem.value = { field: fieldOf(error), text }
}
async function made(classId: ClassId): Promise<void> {
  if (plan.value !== LATER) {
    const laid = await call(LayPlan, { params: { planId: plan.value }, body: { classIds: [classId] } })
    if (!laid.ok) tell.refused(laid.error)
  }
  await useDesk().load(true)
  await navigateTo(`/classes/${classId}`)
}
const errorOf = (f: string) => (problem.value?.field === f ? problem.value.text : undefined)
</script>

<template>
  <form class="p-5 max-w-2xl grid gap-4" novalidate @submit.prevent="save">
    <h1>New class</h1>
    <p v-if="store.overview && !year">
      Make a <NuxtLink class="plain" to="/classes/year">school year</NuxtLink> first.
    </p>
    <template v-else-if="year">
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <UFormField label="Name" :error="errorOf('name')"
          ><UInput v-model="form.name" name="name" maxlength="60" placeholder="Science 8 A" autofocus
        /></UFormField>
        <UFormField label="Short name" :error="errorOf('shortName')"
          ><UInput v-model="form.shortName" name="shortName" maxlength="8" placeholder="8 A"
        /></UFormField>
      </div>
      <div class="grid sm:grid-cols-2 gap-3">
        <UFormField label="Course" :error="errorOf('course')"
          ><UInput v-model="form.course" name="course" maxlength="60" placeholder="Science 8"
        /></UFormField>
        <UFormField label="Plan to lay on it"
          ><USelect v-model="plan" :items="planItems" name="plan" class="w-full"
        /></UFormField>
      </div>
      <PatternRows v-model="form.pattern" :year="year" />
      <p
        v-if="outlook"
        role="status"
        class="note-line"
        :class="outlook.isFault ? 'care' : 'fine'"
        data-hook="outlook"
      >
        {{ outlook.text }}
      </p>
      <p v-if="problem && !(problem.field && problem.field in WORDS)" class="note-line needs" role="alert">
        {{ problem.text }}
      </p>
      <div class="flex gap-2">
        <UButton type="submit" size="md" :loading="busy" data-hook="save-class">Make the class</UButton
        ><UButton size="md" to="/classes" color="neutral" variant="ghost">Back</UButton>
      </div>
    </template>
  </form>
</template>

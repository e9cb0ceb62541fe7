<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { ClassId, PlanId, YearId } from '#core/base'
import type { Beginning } from '#core/pacing'
import { checkPattern, clashes, meetings } from '#core/calendar'
import type { PatternRow } from '#core/calendar'
import { MakeClass } from '#shared/contracts/teaching'
import { useDesk } from '~/places/pace'
import ContractForm from '~/shared/fields/ContractForm.vue'
import { namedFields, useContractForm } from '~/shared/fields/form'
import { useServerNow } from '~/shared/session/serverNow'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { zoneNamed } from '~/shared/words/times'
import { sayRefusal } from '~/shared/words/refusals'
import LayFrom from './components/LayFrom.vue'
import PatternRows from './components/PatternRows.vue'
import { shortNameOf } from './shortName'

useHead({ title: 'New class' })
const LATER = 'later'
const store = useOverview()
const desk = useDesk()
const form = reactive<{ name: string; shortName: string; course: string; pattern: readonly PatternRow[] }>({
  name: '',
  shortName: '',
  course: '',
  pattern: [],
})
const plan = ref<PlanId | typeof LATER>(LATER)
const from = ref<Beginning | null>(null)
const now = useServerNow()
const today = computed(() => zoneNamed(store.zone).local(now.value).on)
const year = computed(() => store.overview?.years[0]?.year ?? null)
const bodyOf = () => ({
  ...form,
  yearId: year.value?.id ?? ('' as YearId),
  planId: plan.value === LATER ? null : plan.value,
  from: plan.value === LATER ? null : from.value,
})
const planItems = computed(() => [
  { label: 'Later', value: LATER },
  ...(store.overview?.plans ?? []).map((p) => ({ label: `${p.title} (${p.course})`, value: p.id })),
])

onMounted(async () => {
  void desk.load()
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
  const text = `${count(calendar.meetings.length, 'meeting')} this year${lost}`
  const same = desk.columns.flatMap(({ of, calendar: other }) => {
    const n = of.mayChange ? clashes(calendar.meetings, other.meetings) : 0
    return n > 0 ? [`${n} at the same time as ${of.name}`] : []
  })
  return { isFault: same.length > 0, text: [text, ...same].join('; ') }
})

const asking = useContractForm({
  schema: MakeClass.body,
  body: bodyOf,
  say: namedFields({ name: 'Name', shortName: 'Short name', course: 'Course' }, 'The meeting pattern'),
  send: () => call(MakeClass, { body: bodyOf() }),
  done: async ({ classId }) => {
    await desk.load(true)
    await navigateTo(`/classes/${classId}`)
  },
})
</script>

<template>
  <ContractForm class="p-5 max-w-2xl grid gap-4" :form="asking" :state="form">
    <h1>New class</h1>
    <p v-if="store.overview && !year">
      Make a <NuxtLink class="plain" to="/classes/year">school year</NuxtLink> first.
    </p>
    <template v-else-if="year">
      <div class="grid grid-cols-[1fr_7rem] gap-3">
        <UFormField label="Name" name="name"
          ><UInput v-model="form.name" name="name" maxlength="60" placeholder="Science 8 A" autofocus
        /></UFormField>
        <UFormField label="Short name" name="shortName"
          ><UInput v-model="form.shortName" name="shortName" maxlength="8" placeholder="8 A"
        /></UFormField>
      </div>
      <div class="grid sm:grid-cols-2 gap-3">
        <UFormField label="Course" name="course"
          ><UInput v-model="form.course" name="course" maxlength="60" placeholder="Science 8"
        /></UFormField>
        <UFormField label="Plan to lay on it"
          ><USelect v-model="plan" :items="planItems" name="plan" class="w-full"
        /></UFormField>
      </div>
      <LayFrom v-if="plan !== LATER" v-model="from" :plan-id="plan" :year="year" :today="today" />
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
    </template>
    <template v-if="year" #acts="{ isSending }">
      <div class="flex gap-2">
        <UButton type="submit" size="md" :loading="isSending" data-hook="save-class">Make the class</UButton
        ><UButton size="md" to="/classes" color="neutral" variant="ghost">Back</UButton>
      </div>
    </template>
  </ContractForm>
</template>

<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { IsoDay, LessonId, PlanId } from '#core/base'
import type { Beginning, PlanLesson } from '#core/pacing'
import { ShowPlan } from '#shared/contracts/plans'
import { marksOf } from '~/shared/fields/marks'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import DayField from '~/shared/fields/DayField.vue'
import type { SchoolYear } from '#core/calendar'
import { call } from '~/shared/wire/call'
import { usualFrom } from '../layFrom'
import type { From } from '../layFrom'

/** From where a plan is laid: with the year, today, or from a day on, and with which of its lessons it begins. */
const props = defineProps<{ planId: PlanId; year: SchoolYear; today: IsoDay }>()
const beginning = defineModel<Beginning | null>({ required: true })
const from = ref<From>(usualFrom(props.year, props.today))
const on = ref<IsoDay | null>(props.today)
const FIRST = 'first'
const next = ref<LessonId | typeof FIRST>(FIRST)
const lessons = shallowRef<readonly PlanLesson[]>([])
const WAYS = [
  { value: 'year' as const, label: 'The first day of the year', hook: 'from-year' },
  { value: 'today' as const, label: 'Today', hook: 'from-today' },
  { value: 'day' as const, label: 'A date', hook: 'from-day' },
]
watch(
  () => props.planId,
  async (planId) => {
    next.value = FIRST
    const reply = await call(ShowPlan, { params: { planId } })
    if (planId === props.planId && reply.ok) lessons.value = reply.value.plan.lessons
  },
  { immediate: true },
)
const lessonItems = computed(() => [
  { label: 'Its first lesson', value: FIRST as string },
  ...lessons.value.slice(1).map((l) => ({ label: `${l.number} ${l.title}`.trim(), value: l.id as string })),
])
const nextName = computed(() => lessonItems.value.find((l) => l.value === next.value)?.label ?? '')
const marks = computed(() => marksOf(props.year))
watch(
  [from, on, next],
  () => {
    const fromOn = from.value === 'today' ? props.today : on.value
    const nextId = next.value === FIRST ? null : next.value
    beginning.value = from.value === 'year' || fromOn === null ? null : { fromOn, nextId }
  },
  { immediate: true },
)
</script>

<template>
  <fieldset class="grid gap-2" data-hook="lay-from">
    <legend class="text-sm font-medium mb-1">Laid from</legend>
    <ChoiceButtons v-model="from" label="Laid from" :items="WAYS" />
    <div v-if="from !== 'year'" class="flex flex-wrap gap-3 items-end">
      <UFormField v-if="from === 'day'" label="First day"
        ><DayField v-model="on" label="First day" :today="today" :min="year.firstOn" :marks="marks"
      /></UFormField>
      <UFormField label="Next is"
        ><USelectMenu
          v-model="next"
          class="w-72 max-w-full"
          value-key="value"
          :items="lessonItems"
          :aria-label="`Next is: ${nextName}`"
          data-hook="next-lesson"
      /></UFormField>
    </div>
    <p v-if="from !== 'year'" class="said">
      Meetings before that day, and lessons before that one, are not counted: the class is neither behind nor
      ahead.
    </p>
  </fieldset>
</template>

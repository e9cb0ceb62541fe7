<script setup lang="ts">
import { ref } from 'vue'
import type { ClassId, IsoDay } from '#core/base'
import { GRADES } from '#core/audience'
import { OWN_TERMS_PARTS } from '#core/availability'
import type { OwnTerms } from '#core/availability'
import { SetAccommodation, ShowClass } from '#shared/contracts/teaching'
import type { LearnerRow } from '#shared/contracts/teaching'
import DayField from '~/shared/fields/DayField.vue'
import { useCombining } from '~/shared/conflict/combining'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { TERMS_CONFLICT } from '../words/conflicts'

/** What holds of one learner in all work: their grade, their extra time, tries and days, and since when work counts. */
const props = defineProps<{ classId: ClassId; learner: LearnerRow; today: IsoDay }>()
const emit = defineEmits<{ saved: [] }>()
const tell = useTell()
const combining = useCombining()
const NOT_SAID = 0
const GRADE_ITEMS = [
  { value: NOT_SAID, label: 'not said' },
  ...GRADES.map((n) => ({ value: n, label: String(n) })),
]
const { accommodation } = props.learner
const grade = ref(props.learner.grade ?? NOT_SAID)
const percent = ref(Math.round(accommodation.timeFactor * 100))
const attempts = ref(accommodation.extraAttempts)
const days = ref(accommodation.extraDays)
const startsOn = ref<IsoDay | null>(props.learner.startsOn)

/** What stands of a learner, as their row shows it. */
const termsOf = ({ accommodation, grade, startsOn }: LearnerRow): OwnTerms => ({
  ...accommodation,
  grade,
  startsOn,
})
async function save(): Promise<void> {
  const params = { classId: props.classId }
  const learnerId = props.learner.id
  const reply = await combining({
    what: `what holds of ${props.learner.name}`,
    parts: OWN_TERMS_PARTS,
    words: TERMS_CONFLICT,
    seen: { value: termsOf(props.learner), version: 0 },
    mine: {
      grade: grade.value === NOT_SAID ? null : grade.value,
      timeFactor: percent.value / 100,
      extraAttempts: attempts.value,
      extraDays: days.value,
      startsOn: startsOn.value ?? props.learner.startsOn,
    },
    send: (mine, { value: seen }) => call(SetAccommodation, { params, body: { learnerId, ...mine, seen } }),
    current: async () => {
      const now = await call(ShowClass, { params })
      const row = now.ok ? now.value.learners.find((l) => l.id === learnerId) : undefined
      return row ? { value: termsOf(row), version: 0 } : null
    },
  })
  if (reply === null) return
  if (!reply.ok) return tell.refused(reply.error)
  emit('saved')
}
</script>

<template>
  <form class="flex gap-3 items-end flex-wrap py-1" @submit.prevent="save">
    <UFormField label="Grade"
      ><USelect v-model="grade" :items="GRADE_ITEMS" class="!w-28" data-hook="grade-of-one"
    /></UFormField>
    <UFormField label="Time, %"
      ><UInput v-model.number="percent" type="number" min="100" max="400" class="!w-24"
    /></UFormField>
    <UFormField label="Extra tries"
      ><UInput v-model.number="attempts" type="number" min="0" max="20" class="!w-20"
    /></UFormField>
    <UFormField label="Extra days"
      ><UInput v-model.number="days" type="number" min="0" max="60" class="!w-20"
    /></UFormField>
    <UFormField label="Start line"
      ><DayField v-model="startsOn" label="Start line" name="starts-on" :today="today" class="!w-40"
    /></UFormField>
    <UButton type="submit">Save</UButton>
    <p class="said">
      Applies to open and future work at once. What was over before the start line is neither missing nor
      late.
    </p>
  </form>
</template>

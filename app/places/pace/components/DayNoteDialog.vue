<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ClassId, IsoDay, YearId } from '#core/base'
import { WHOLE_FROM } from '#core/calendar'
import type { DayNote } from '#core/calendar'
import type { PacingCommand } from '#core/pacing'
import { useDesk } from '../stores/desk'
import ClockField from '~/shared/fields/ClockField.vue'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useToday } from '~/shared/session/today'

const props = defineProps<{ on: IsoDay }>()
const emit = defineEmits<{ close: [change: PacingCommand | null] }>()
const desk = useDesk()
const KINDS = [
  { label: 'No school', value: 'closure' },
  { label: 'Short day', value: 'short' },
  { label: 'Event for some classes', value: 'event' },
]
const NAMES: Record<string, readonly string[]> = {
  closure: ['Snow day', 'Staff day', 'Power cut'],
  short: ['Half day', 'Late start', 'Early close'],
  event: ['Testing', 'Trip', 'Assembly'],
}
const own = computed(() => desk.classes.filter((c) => c.mayChange))

const kind = ref<DayNote['kind']>('closure')
const name = ref('')
const fromOn = ref<IsoDay>(props.on)
const throughOn = ref<IsoDay>(props.on)
const wholeSchool = ref(desk.mayEditYear)
const classIds = ref<ClassId[]>(own.value.map((c) => c.id))
const percent = ref(50)
const fromMinute = ref<number | null>(null)
const untilMinute = ref<number | null>(null)
const today = useToday()
const marks = computed(() => marksOf(desk.year))
/** From this share a shortened meeting still counts as whole, by the year's own rule. */
const wholeFrom = computed(() => Math.round((desk.year?.wholeFromRatio ?? WHOLE_FROM) * 100))
const problem = ref('')
const forAll = computed(() => kind.value !== 'event' && wholeSchool.value && desk.mayEditYear)

function look(): void {
  if (!desk.year) return
  if (throughOn.value < fromOn.value) {
    problem.value = 'The last day is before the first. Correct one of them.'
    return
  }
  if (!forAll.value && classIds.value.length === 0) {
    problem.value = 'Tick at least one class.'
    return
  }
  const hours =
    kind.value === 'event' && fromMinute.value !== null && untilMinute.value !== null
      ? { fromMinute: fromMinute.value, untilMinute: untilMinute.value }
      : null
  if (hours && hours.untilMinute <= hours.fromMinute) {
    problem.value = 'The event ends before it begins. Correct one of the times.'
    return
  }
  const to: DayNote = {
    id: crypto.randomUUID(),
    kind: kind.value,
    name: name.value.trim() || (NAMES[kind.value]?.[0] ?? 'Closed'),
    fromOn: fromOn.value,
    throughOn: throughOn.value,
    classIds: forAll.value ? [] : classIds.value,
    ...(kind.value === 'short' ? { factorRatio: percent.value / 100 } : {}),
    ...hours,
  }
  emit('close', { kind: 'note', yearId: desk.year.id as YearId, from: null, to })
}
</script>

<template>
  <UModal
    title="Announce a day"
    description="You see what it would move, in every class, before anything is changed."
    :close="false"
    @update:open="emit('close', null)"
  >
    <template #body>
      <form id="note-form" class="grid gap-3" @submit.prevent="look">
        <UFormField label="What"
          ><USelect v-model="kind" :items="KINDS" class="w-full" data-hook="note-kind"
        /></UFormField>
        <UFormField label="Name" help="Shown on the desk"
          ><UInput
            v-model="name"
            name="note-name"
            maxlength="80"
            autofocus
            :placeholder="NAMES[kind]?.[0]"
            class="w-full"
        /></UFormField>
        <div class="flex flex-wrap gap-1.5">
          <UButton
            v-for="w in NAMES[kind]"
            :key="w"
            size="xs"
            color="neutral"
            variant="soft"
            @click="
              () => {
                name = w
              }
            "
            >{{ w }}</UButton
          >
        </div>
        <div class="grid grid-cols-2 gap-3">
          <UFormField label="From"
            ><DayField
              v-model="fromOn"
              name="note-from"
              :today="today"
              :min="desk.year?.firstOn"
              :max="desk.year?.lastOn"
              :marks="marks"
              @change="$event && throughOn < $event && (throughOn = $event)"
          /></UFormField>
          <UFormField label="Through"
            ><DayField
              v-model="throughOn"
              name="note-through"
              :today="today"
              :min="fromOn"
              :max="desk.year?.lastOn"
              :marks="marks"
          /></UFormField>
        </div>
        <UFormField
          v-if="kind === 'short'"
          label="How much of each meeting is left"
          :help="`Below ${wholeFrom} % a meeting counts as a half`"
          ><div class="flex items-center gap-2">
            <UInput
              v-model.number="percent"
              type="number"
              name="note-percent"
              min="10"
              max="99"
              class="w-24"
            />
            %
          </div></UFormField
        >
        <div v-if="kind === 'event'" class="grid grid-cols-2 gap-3">
          <UFormField label="From, if not all day"
            ><ClockField v-model="fromMinute" may-be-empty /></UFormField
          ><UFormField label="Until"><ClockField v-model="untilMinute" may-be-empty /></UFormField>
        </div>
        <fieldset class="grid gap-1 text-sm">
          <legend class="font-semibold mb-1">For</legend>
          <UCheckbox
            v-if="desk.mayEditYear && kind !== 'event'"
            v-model="wholeSchool"
            label="The whole school"
          />
          <UCheckboxGroup
            v-if="!forAll"
            v-model="classIds"
            :items="own.map((c) => ({ value: c.id, label: c.name }))"
            aria-label="Classes"
          />
        </fieldset>
        <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
      </form>
    </template>
    <template #footer>
      <UButton type="submit" form="note-form" data-hook="look-note">See what it moves</UButton>
      <UButton color="neutral" variant="ghost" @click="emit('close', null)">Never mind</UButton>
    </template>
  </UModal>
</template>

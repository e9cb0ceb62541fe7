<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ClassId, IsoDay, YearId } from '#core/base'
import type { DayNote } from '#core/calendar'
import type { PacingCommand } from '#core/pacing'
import { useDesk } from '../stores/desk'
import { readClock } from '~/shared/words/times'

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
const fromOn = ref<string>(props.on)
const throughOn = ref<string>(props.on)
const wholeSchool = ref(desk.mayEditYear)
const classIds = ref<ClassId[]>(own.value.map((c) => c.id))
const percent = ref(50)
const [fromTime, untilTime] = [ref(''), ref('')]
const problem = ref('')
const forAll = computed(() => kind.value !== 'event' && wholeSchool.value && desk.mayEditYear)

function look(): void {
  if (!desk.year) return
  if (!fromOn.value || !throughOn.value) {
    problem.value = 'Give the first and the last day.'
    return
  }
  if (throughOn.value < fromOn.value) {
    problem.value = 'The last day is before the first. Correct one of them.'
    return
  }
  if (!forAll.value && classIds.value.length === 0) {
    problem.value = 'Tick at least one class.'
    return
  }
  const [fromMinute, untilMinute] = [readClock(fromTime.value), readClock(untilTime.value)]
  const hasHours = kind.value === 'event' && fromMinute !== null && untilMinute !== null
  if (hasHours && untilMinute <= fromMinute) {
    problem.value = 'The event ends before it begins. Correct one of the times.'
    return
  }
  const to: DayNote = {
    id: crypto.randomUUID(),
    kind: kind.value,
    name: name.value.trim() || (NAMES[kind.value]?.[0] ?? 'Closed'),
    fromOn: fromOn.value as IsoDay,
    throughOn: throughOn.value as IsoDay,
    classIds: forAll.value ? [] : classIds.value,
    ...(kind.value === 'short' ? { factorRatio: percent.value / 100 } : {}),
    ...(hasHours ? { fromMinute, untilMinute } : {}),
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
            ><UInput
              v-model="fromOn"
              type="date"
              name="note-from"
              :min="desk.year?.firstOn"
              :max="desk.year?.lastOn"
              class="w-full"
              @change="
                () => {
                  if (throughOn < fromOn) throughOn = fromOn
                }
              "
          /></UFormField>
          <UFormField label="Through"
            ><UInput
              v-model="throughOn"
              type="date"
              name="note-through"
              :min="fromOn"
              :max="desk.year?.lastOn"
              class="w-full"
          /></UFormField>
        </div>
        <UFormField
          v-if="kind === 'short'"
          label="How much of each meeting is left"
          help="Below 60 % a meeting counts as a half"
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
            ><UInput v-model="fromTime" type="time" class="w-full" /></UFormField
          ><UFormField label="Until"><UInput v-model="untilTime" type="time" class="w-full" /></UFormField>
        </div>
        <fieldset class="grid gap-1 text-sm">
          <legend class="font-semibold mb-1">For</legend>
          <label v-if="desk.mayEditYear && kind !== 'event'" class="flex gap-2"
            ><input v-model="wholeSchool" type="checkbox" class="accent-(--ui-primary)" /> The whole
            school</label
          >
          <template v-if="!forAll"
            ><label v-for="c in own" :key="c.id" class="flex gap-2"
              ><input v-model="classIds" type="checkbox" :value="c.id" class="accent-(--ui-primary)" />
              {{ c.name }}</label
            ></template
          >
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

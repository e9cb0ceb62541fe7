<script setup lang="ts">
import { computed } from 'vue'
import { addDays } from '#core/base'
import type { ClassId, IsoDay, LessonId } from '#core/base'
import type { Anchor, Moment, WindowField } from '#core/availability'
import { ABSENT_WORDS } from '../words/moments'
import ClockField from '~/shared/fields/ClockField.vue'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useDesk } from '~/places/pace'
import TypedMoment from './TypedMoment.vue'

export interface LessonChoice {
  readonly label: string
  readonly value: LessonId
}
const props = defineProps<{
  field: WindowField
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  inherits?: boolean
  /** Whose meetings the month marks. */
  classId?: ClassId | null
}>()
/** undefined: as for everyone (only where `inherits`); null: absent. */
const moment = defineModel<Moment | null | undefined>({ required: true })

const ends = computed(() => props.field === 'due' || props.field === 'closes' || props.field === 'putAway')
type Way = 'inherit' | 'none' | 'anchor' | 'day' | 'time'
const way = computed<Way>({
  get: () => (moment.value === undefined ? 'inherit' : moment.value === null ? 'none' : moment.value.kind),
  set: (next) => {
    const on = moment.value && moment.value.kind !== 'anchor' ? moment.value.on : props.today
    if (next === 'inherit') moment.value = undefined
    else if (next === 'none') moment.value = null
    else if (next === 'day') moment.value = { kind: 'day', on }
    else if (next === 'time') moment.value = { kind: 'time', on, minuteOfDay: ends.value ? 16 * 60 : 8 * 60 }
    else if (props.lessons[0])
      moment.value = {
        kind: 'anchor',
        lessonId: props.start ?? props.lessons[0].value,
        edge: ends.value ? 'last' : 'first',
        offset: ends.value ? 1 : 0,
        step: 'meetings',
        at: ends.value ? 'class-end' : 'class-start',
      }
  },
})
const ways = computed(() => [
  ...(props.inherits ? [{ label: 'As for everyone', value: 'inherit' }] : []),
  ...(props.lessons.length ? [{ label: 'At a lesson', value: 'anchor' }] : []),
  { label: 'A whole day', value: 'day' },
  { label: 'A day and time', value: 'time' },
  { label: ABSENT_WORDS[props.field].replace(/^./, (c) => c.toUpperCase()), value: 'none' },
])
const anchor = computed(() => (moment.value?.kind === 'anchor' ? moment.value : null))
const patch = (part: Partial<Anchor>) => {
  if (anchor.value) moment.value = { ...anchor.value, ...part }
}
const AT = [
  { label: 'class start', value: 'class-start' },
  { label: 'class end', value: 'class-end' },
  { label: 'end of the day', value: 'end-of-day' },
  { label: 'a time', value: 'time' },
]
const at = computed(() =>
  anchor.value && typeof anchor.value.at === 'object' ? 'time' : (anchor.value?.at as string),
)
function setDate(on: IsoDay | '' | null | undefined): void {
  const m = moment.value
  if (on && m && m.kind !== 'anchor') moment.value = { ...m, on }
}
function setTime(minuteOfDay: number | null | undefined): void {
  const m = moment.value
  if (typeof minuteOfDay === 'number' && m?.kind === 'time') moment.value = { ...m, minuteOfDay }
}
const desk = useDesk()
/** As it was when the editor opened: Esc leaves it so. */
const before = moment.value
const emit = defineEmits<{ done: [] }>()
function take(next: Moment | null): void {
  moment.value = next
  emit('done')
}
function putBack(): void {
  moment.value = before
}
const named = computed(() =>
  props.lessons.map(({ value, label }) => ({ id: value, number: label.split(' ')[0] ?? '' })),
)
/** One meeting, or day, later or earlier. */
function step(by: 1 | -1): void {
  const m = moment.value
  if (m?.kind === 'anchor') patch({ offset: m.offset + by })
  else if (m) moment.value = { ...m, on: addDays(m.on, by) }
}
/** The month marks the meetings of the class that is meant. */
const marks = computed(() => {
  const column = desk.columns.find((c) => c.of.id === props.classId)
  return marksOf(desk.year, column?.calendar ?? null)
})
</script>

<template>
  <div class="grid gap-2.5 p-3 w-76" data-hook="moment-editor" @keydown.esc="putBack">
    <TypedMoment
      :field="field"
      :lessons="named"
      :current="anchor?.lessonId ?? start"
      :today="today"
      :min="desk.year?.firstOn"
      :max="desk.year?.lastOn"
      @take="take"
      @step="step"
    />
    <USelect v-model="way" :items="ways" class="w-full" aria-label="How it is given" />
    <template v-if="anchor">
      <USelect
        :model-value="anchor.lessonId"
        :items="[...lessons]"
        class="w-full"
        aria-label="Lesson"
        :ui="{ content: 'max-h-72' }"
        @update:model-value="patch({ lessonId: $event as LessonId })"
      />
      <div class="grid grid-cols-[1fr_4.2rem_1fr] gap-1.5">
        <USelect
          :model-value="anchor.edge"
          :items="[
            { label: 'first meeting', value: 'first' },
            { label: 'last meeting', value: 'last' },
          ]"
          aria-label="Which meeting"
          @update:model-value="patch({ edge: $event as 'first' | 'last' })"
        />
        <UInput
          :model-value="anchor.offset"
          type="number"
          aria-label="Steps before (−) or after (+)"
          @update:model-value="patch({ offset: Math.trunc(Number($event)) || 0 })"
        />
        <USelect
          :model-value="anchor.step"
          :items="[
            { label: 'meetings', value: 'meetings' },
            { label: 'days', value: 'days' },
          ]"
          aria-label="Step"
          @update:model-value="patch({ step: $event as 'meetings' | 'days' })"
        />
      </div>
      <div class="flex gap-1.5">
        <USelect
          :model-value="at"
          :items="AT"
          class="flex-1"
          aria-label="At"
          @update:model-value="
            patch({ at: $event === 'time' ? { minuteOfDay: 960 } : ($event as 'class-start') })
          "
        />
        <ClockField
          v-if="typeof anchor.at === 'object'"
          class="w-28"
          :model-value="anchor.at.minuteOfDay"
          label="Time"
          @update:model-value="patch({ at: { minuteOfDay: $event ?? 960 } })"
        />
      </div>
      <p class="said">Each class gets its own moment, and it moves when the plan moves.</p>
    </template>
    <div v-else-if="moment" class="flex gap-1.5">
      <DayField
        :model-value="moment.kind === 'anchor' ? null : moment.on"
        label="Date"
        name="moment-on"
        :today="today"
        :marks="marks"
        class="flex-1"
        @update:model-value="setDate"
      />
      <ClockField
        v-if="moment.kind === 'time'"
        :model-value="moment.minuteOfDay"
        label="Time"
        class="w-28"
        @update:model-value="setTime"
      />
    </div>
    <p v-if="moment?.kind === 'day'" class="said">
      {{ ends ? 'Through the end of that day.' : 'From the start of that day.' }}
    </p>
    <div class="flex gap-2 items-center">
      <UButton size="xs" data-hook="moment-done" @click="emit('done')">Done</UButton>
      <span class="said">Esc leaves it as it was.</span>
    </div>
  </div>
</template>

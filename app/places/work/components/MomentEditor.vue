<script setup lang="ts">
import { computed } from 'vue'
import { addDays } from '#core/base'
import type { ClassId, Instant, IsoDay, LessonId } from '#core/base'
import type { Anchor, MeetingAfter, Moment, Window, WindowField, WindowSpec } from '#core/availability'
import { ABSENT_WORDS } from '~/shared/words/moments'
import ClockField from '~/shared/fields/ClockField.vue'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useDesk } from '~/places/pace'
import { zoneNamed } from '~/shared/words/times'
import { countingIn } from '../momentReading'
import type { LessonChoice } from '../lessonsOffered'
import MeetingsAfter from './MeetingsAfter.vue'
import TypedMoment from './TypedMoment.vue'

const props = defineProps<{
  field: WindowField
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  inherits?: boolean
  /** Whose meetings the month marks. */
  classId?: ClassId | null
  /** The window of which it is a moment, and how that comes out where it does so alike for all. */
  window: WindowSpec
  comesOut: Window | null
  now: Instant
}>()
/** undefined: as for everyone (only where `inherits`); null: absent. */
const moment = defineModel<Moment | null | undefined>({ required: true })

const ends = computed(() => props.field === 'due' || props.field === 'closes' || props.field === 'putAway')
type Way = 'inherit' | 'none' | Moment['kind']
const way = computed<Way>({
  get: () => (moment.value === undefined ? 'inherit' : moment.value === null ? 'none' : moment.value.kind),
  set: (next) => {
    const on = moment.value && moment.value.kind !== 'anchor' ? moment.value.on : props.today
    if (next === 'inherit') moment.value = undefined
    else if (next === 'none') moment.value = null
    else if (next === 'day') moment.value = { kind: 'day', on }
    else if (next === 'meeting')
      moment.value = {
        kind: 'meeting',
        ...counting.value.from,
        count: ends.value ? 2 : 1,
        at: ends.value ? 'class-end' : 'class-start',
      }
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
  { label: 'In some meetings', value: 'meeting' },
  { label: 'A whole day', value: 'day' },
  { label: 'A day and time', value: 'time' },
  { label: ABSENT_WORDS[props.field].replace(/^./, (c) => c.toUpperCase()), value: 'none' },
])
const anchor = computed(() => (moment.value?.kind === 'anchor' ? moment.value : null))
/** The moment as its kind. */
const counted = computed<MeetingAfter | null>({
  get: () => (moment.value?.kind === 'meeting' ? moment.value : null),
  set: (next) => {
    moment.value = next
  },
})
const dated = computed(() =>
  moment.value?.kind === 'day' || moment.value?.kind === 'time' ? moment.value : null,
)
const patch = (part: Partial<Anchor>) => {
  if (anchor.value) moment.value = { ...anchor.value, ...part }
}
function setPlace(at: Anchor['at']): void {
  const m = moment.value
  if (m?.kind === 'anchor' || m?.kind === 'meeting') moment.value = { ...m, at }
}
const AT = [
  { label: 'class start', value: 'class-start' },
  { label: 'class end', value: 'class-end' },
  { label: 'end of the day', value: 'end-of-day' },
  { label: 'a time', value: 'time' },
]
const place = computed(() => {
  const m = moment.value
  return m?.kind === 'anchor' || m?.kind === 'meeting' ? m.at : null
})
const at = computed(() => (typeof place.value === 'object' ? 'time' : place.value))
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
const named = computed(() => props.lessons.map(({ value, number, unit }) => ({ id: value, number, unit })))
const counting = computed(() =>
  countingIn(props.window, {
    now: props.now,
    zone: zoneNamed(desk.zone),
    resolved: props.comesOut,
    own: anchor.value?.lessonId ?? null,
  }),
)
/** One meeting, or day, later or earlier. */
function step(by: 1 | -1): void {
  const m = moment.value
  if (m?.kind === 'anchor') patch({ offset: m.offset + by })
  else if (m?.kind === 'meeting') moment.value = { ...m, count: Math.max(1, m.count + by) }
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
      :counting="counting"
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
    </template>
    <MeetingsAfter v-if="counted" v-model="counted" :today="today" :marks="marks" />
    <template v-if="place !== null">
      <div class="flex gap-1.5">
        <USelect
          :model-value="at"
          :items="AT"
          class="flex-1"
          aria-label="At"
          @update:model-value="setPlace($event === 'time' ? { minuteOfDay: 960 } : ($event as 'class-start'))"
        />
        <ClockField
          v-if="typeof place === 'object'"
          class="w-28"
          :model-value="place.minuteOfDay"
          label="Time"
          @update:model-value="setPlace({ minuteOfDay: $event ?? 960 })"
        />
      </div>
      <p class="said">
        Each class gets its own moment, and it moves when
        {{ anchor ? 'the plan moves' : 'a meeting is lost' }}.
      </p>
    </template>
    <div v-if="dated" class="flex gap-1.5">
      <DayField
        :model-value="dated.on"
        label="Date"
        name="moment-on"
        :today="today"
        :marks="marks"
        class="flex-1"
        @update:model-value="setDate"
      />
      <ClockField
        v-if="dated.kind === 'time'"
        :model-value="dated.minuteOfDay"
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

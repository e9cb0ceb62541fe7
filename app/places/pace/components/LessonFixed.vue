<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Instant, IsoDay, LessonId } from '#core/base'
import { fixedOf } from '#core/pacing'
import type { FixedDate } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import DayField from '~/shared/fields/DayField.vue'
import { marksOf } from '~/shared/fields/marks'
import { useToday } from '~/shared/session/today'
import { sayFixed } from '../words/steps'
import { sayFinding } from '../words/ways'

const props = defineProps<{ column: DeskColumn; lessonId: LessonId; now: Instant }>()
const emit = defineEmits<{ fix: [to: FixedDate | 'free' | null] }>()
const KINDS = [
  { label: 'on', value: 'on' },
  { label: 'not before', value: 'not-before' },
  { label: 'by', value: 'not-after' },
] as const
const lesson = computed(() => props.column.lessons.get(props.lessonId))
const own = computed(() => props.column.of.pacing.fixed[props.lessonId] ?? null)
const fixed = computed(() => (lesson.value ? fixedOf(lesson.value, props.column.of.pacing) : null))
const findings = computed(
  () =>
    props.column.layout?.findings.filter(
      (f) => f.lessonId === props.lessonId && f.code !== 'recorded-without-meeting',
    ) ?? [],
)
const kind = ref<'on' | 'not-before' | 'not-after'>('on')
const on = ref<IsoDay | ''>('')
/** The day it lies on now; without one, the first meeting that is still to come. */
const proposed = computed<IsoDay | ''>(() => {
  const { calendar, extents } = props.column
  const extent = extents.get(props.lessonId)
  const next = calendar.meetings.find((m) => m.endsAt > props.now) ?? calendar.meetings.at(-1)
  return (extent ? calendar.meetings[extent.first] : next)?.on ?? ''
})
watch(
  () => [props.lessonId, props.column.of.id, fixed.value],
  () => {
    const at = fixed.value
    kind.value = at && at.kind !== 'within' ? at.kind : 'on'
    const known = at?.kind === 'within' ? at.fromOn : at?.on
    on.value = known ?? proposed.value
  },
  { immediate: true },
)
const today = useToday()
const marks = computed(() => marksOf(props.column.year, props.column.calendar))
</script>

<template>
  <section aria-label="Fixed date" data-hook="lesson-fixed">
    <h3>Fixed date</h3>
    <p class="text-sm">
      {{
        fixed
          ? `${sayFixed(fixed).replace(/^./, (c) => c.toUpperCase())}${own ? ', in this class' : ', as in the plan'}.`
          : own === 'free'
            ? 'Free in this class; the plan has a date.'
            : 'None: it lies where the lessons before it end.'
      }}
    </p>
    <p v-for="f in findings" :key="f.code" class="note-line care mt-1">{{ sayFinding(f) }}</p>
    <form
      v-if="column.of.mayChange"
      class="flex flex-wrap items-center gap-1.5 mt-1"
      @submit.prevent="on && emit('fix', { kind, on: on })"
    >
      <USelect v-model="kind" size="xs" :items="[...KINDS]" class="w-28" aria-label="How it is fixed" />
      <DayField
        v-model="on"
        label="Date"
        name="lesson-fixed-on"
        :today="today"
        :min="column.year?.firstOn"
        :max="column.year?.lastOn"
        :marks="marks"
      />
      <UButton type="submit" size="xs" color="neutral" variant="outline" data-hook="fix">Fix</UButton>
      <UButton
        v-if="fixed"
        size="xs"
        color="neutral"
        variant="ghost"
        data-hook="unfix"
        @click="emit('fix', own ? null : 'free')"
        >{{ own ? 'As in the plan' : 'Free it here' }}</UButton
      >
    </form>
  </section>
</template>

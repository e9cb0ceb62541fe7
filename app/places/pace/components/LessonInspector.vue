<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, Instant, IsoDay, LessonId } from '#core/base'
import { amountOf, typicalAmount } from '#core/pacing'
import type { FixedDate, Happened, Left } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { useDesk } from '../stores/desk'
import { sayMeetings } from '~/shared/words/numbers'
import { sayDay, sayMoment } from '~/shared/words/times'
import { sayAmount } from '../words/ways'
import LessonFixed from './LessonFixed.vue'
import LessonMeetings from './LessonMeetings.vue'
import LessonPieces from './LessonPieces.vue'
import TrayPieces from './TrayPieces.vue'
import LessonRecord from './LessonRecord.vue'

const props = defineProps<{ column: DeskColumn; lessonId: LessonId; now: Instant }>()
const emit = defineEmits<{
  lengthen: [halves: 1 | -1]
  asPlanned: []
  lose: [at: { on: IsoDay; startMinute: number }]
  giveBack: [at: { on: IsoDay; startMinute: number }]
  takeBack: []
  goTo: [classId: ClassId]
  record: [happened: Happened]
  fix: [to: FixedDate | 'free' | null]
  leave: [to: Left | null]
  shift: [step: 1 | -1]
}>()
const desk = useDesk()

const lesson = computed(() => props.column.lessons.get(props.lessonId))
const unit = computed(() => props.column.plan?.units.find((u) => u.id === lesson.value?.unitId))
const amount = computed(() => (lesson.value ? amountOf(lesson.value, props.column.of.pacing.lengths) : 0))
const planned = computed(() => (lesson.value ? typicalAmount(lesson.value) : 0))
const inMinutes = computed(() => lesson.value?.length.unit === 'minutes')
/** What was held is over: neither length nor order nor a date can change it. */
const isCovered = computed(() => props.column.of.pacing.records[props.lessonId]?.outcome === 'covered')
const mayChange = computed(() => props.column.of.mayChange && !isCovered.value)
const left = computed(() => props.column.of.pacing.left[props.lessonId] ?? null)
const everywhere = computed(() =>
  desk.columns
    .filter((c) => c.lessons.has(props.lessonId))
    .map((c) => {
      const extent = c.extents.get(props.lessonId)
      const first = extent && c.calendar.meetings[extent.first]
      const last = extent && c.calendar.meetings[extent.last]
      return {
        id: c.of.id,
        name: c.of.shortName,
        dates:
          !first || !last
            ? c.of.pacing.left[props.lessonId]
              ? 'left out'
              : 'does not fit'
            : first.on === last.on
              ? sayDay(first.on)
              : `${sayDay(first.on)} to ${sayDay(last.on)}`,
      }
    }),
)
const work = computed(() =>
  desk.work.filter((w) => w.classId === props.column.of.id && w.lessonIds.includes(props.lessonId)),
)
</script>

<template>
  <div v-if="lesson" class="grid gap-5" data-hook="inspector-lesson">
    <header>
      <p class="said">{{ column.of.name }} · {{ unit?.number }} {{ unit?.title }}</p>
      <h2>
        <span class="tabular-nums">{{ lesson.number }}</span> {{ lesson.title }}
      </h2>
      <p v-if="lesson.kind !== 'lesson'" class="said capitalize">{{ lesson.kind }}</p>
    </header>

    <section aria-label="Length">
      <h3>Length here</h3>
      <div class="flex items-center gap-2 mt-1">
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-minus"
          aria-label="Half a meeting shorter"
          :disabled="!mayChange || amount <= 1"
          data-hook="shorten"
          @click="emit('lengthen', -1)"
        />
        <strong class="min-w-24 text-center" data-hook="length">{{
          inMinutes ? `${amount} min` : sayMeetings(amount)
        }}</strong>
        <UButton
          color="neutral"
          variant="outline"
          icon="i-lucide-plus"
          aria-label="Half a meeting longer"
          :disabled="!mayChange"
          data-hook="lengthen"
          @click="emit('lengthen', 1)"
        />
        <UButton
          v-if="amount !== planned"
          color="neutral"
          variant="ghost"
          :disabled="!mayChange"
          @click="emit('asPlanned')"
          >As in the plan: {{ sayAmount(inMinutes ? 'minutes' : 'meetings', planned) }}</UButton
        >
      </div>
      <div v-if="mayChange" class="flex flex-wrap gap-1.5 mt-2">
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-arrow-up"
          data-hook="earlier"
          @click="emit('shift', -1)"
          >Earlier</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-arrow-down"
          data-hook="later"
          @click="emit('shift', 1)"
          >Later</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          data-hook="leave"
          @click="emit('leave', left ? null : 'let-go')"
          >{{ left ? 'Take it back in' : 'Leave it out here' }}</UButton
        >
      </div>
    </section>

    <LessonRecord
      :column="column"
      :lesson-id="lessonId"
      :now="now"
      @record="emit('record', $event)"
      @take-back="emit('takeBack')"
    />

    <LessonMeetings
      :column="column"
      :lesson-id="lessonId"
      @lose="emit('lose', $event)"
      @give-back="emit('giveBack', $event)"
    />

    <LessonFixed
      v-if="!isCovered"
      :column="column"
      :lesson-id="lessonId"
      :now="now"
      @fix="emit('fix', $event)"
    />

    <section v-if="everywhere.length > 1" aria-label="This lesson in every class">
      <h3>In every class</h3>
      <ul class="text-sm">
        <li v-for="e in everywhere" :key="e.id" class="flex justify-between gap-3 py-0.5">
          <button
            type="button"
            class="text-left whitespace-nowrap min-h-6 min-w-6 cursor-pointer hover:underline"
            :class="{ 'font-semibold': e.id === column.of.id }"
            @click="emit('goTo', e.id)"
          >
            {{ e.name }}</button><span class="tabular-nums text-right">{{ e.dates }}</span>
        </li>
      </ul>
    </section>

    <section v-if="work.length" aria-label="Work hanging on this lesson">
      <h3>Work on it</h3>
      <ul class="text-sm">
        <li v-for="w in work" :key="w.assignmentId" class="py-1">
          <NuxtLink class="plain" :to="`/work/${w.assignmentId}`">{{ w.title }}</NuxtLink>
          <p class="said">
            {{ w.state === 'held' ? 'held · ' : ''
            }}<template v-if="w.opensAt">opens {{ sayMoment(w.opensAt, desk.zone, 'opens') }}</template
            ><template v-if="w.dueAt"> · due {{ sayMoment(w.dueAt, desk.zone, 'due') }}</template>
          </p>
        </li>
      </ul>
    </section>

    <LessonPieces :lesson-id="lessonId" :class-id="column.of.id" :book-lesson-id="lesson.bookLessonId" />
    <TrayPieces :lesson-id="lessonId" :class-id="column.of.id" />
  </div>
</template>

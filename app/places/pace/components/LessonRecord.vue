<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Instant, LessonId } from '#core/base'
import { takenBackWith } from '#core/pacing'
import type { Happened } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { count, meetingsOf, sayMeetings } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'
import { sayFinding } from '../words/ways'

const props = defineProps<{ column: DeskColumn; lessonId: LessonId; now: Instant }>()
const emit = defineEmits<{ record: [happened: Happened]; takeBack: [] }>()
const record = computed(() => props.column.of.pacing.records[props.lessonId] ?? null)
const placement = computed(() => props.column.layout?.placements.find((p) => p.lessonId === props.lessonId))
const first = computed(() =>
  placement.value?.placed
    ? props.column.calendar.meetings[placement.value.slots[0]?.meeting ?? 0]
    : undefined,
)
const hasBegun = computed(() => (first.value?.startsAt ?? Infinity) <= props.now)
const halves = ref(2)
watch(
  () => [props.lessonId, props.column.of.id, placement.value?.halves],
  () => {
    halves.value = placement.value?.placed ? Math.max(1, Math.round(placement.value.halves)) : 2
  },
  { immediate: true },
)
const said = computed(() => {
  if (!record.value) return null
  const last = record.value.held[record.value.held.length - 1]
  const took = sayMeetings(record.value.held.reduce((n, h) => n + h.halves, 0))
  return record.value.outcome === 'covered'
    ? `Covered${last ? `, finished ${sayDay(last.on)}` : ''}, took ${took}.`
    : `Under way: ${took} held, ${meetingsOf(record.value.moreHalves)} more to come.`
})
const findings = computed(
  () =>
    props.column.layout?.findings.filter(
      (f) => f.lessonId === props.lessonId && f.code === 'recorded-without-meeting',
    ) ?? [],
)
/** The lessons recorded behind this one, whose records go with its own. */
const behind = computed(() => {
  const { of, sequence } = props.column
  return takenBackWith({ pacing: of.pacing, sequence }, props.lessonId).slice(1)
})
const LENGTHS = Array.from({ length: 16 }, (_, i) => ({ label: sayMeetings(i + 1), value: i + 1 }))
</script>

<template>
  <section aria-label="What happened" data-hook="lesson-record">
    <h3>What happened</h3>
    <p v-if="said" class="text-sm">{{ said }}</p>
    <p v-else-if="!hasBegun" class="said">Nothing yet: its first meeting is still to come.</p>
    <p v-for="f in findings" :key="`${f.code} ${f.on}`" class="note-line care mt-1">{{ sayFinding(f) }}</p>
    <div v-if="column.of.mayChange && hasBegun && record?.outcome !== 'covered'" class="grid gap-2 mt-1">
      <div class="flex flex-wrap gap-1.5">
        <UButton size="xs" data-hook="mark-covered" @click="emit('record', { as: 'covered' })"
          >Covered</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          data-hook="carry-over"
          @click="emit('record', { as: 'carried-over', moreHalves: 2 })"
          >Goes on, 1 more meeting</UButton
        >
      </div>
      <form class="flex items-center gap-2 text-sm" @submit.prevent="emit('record', { as: 'took', halves })">
        <label class="said whitespace-nowrap" :for="`took-${lessonId}`">It took</label>
        <USelect
          :id="`took-${lessonId}`"
          v-model="halves"
          size="xs"
          :items="LENGTHS"
          class="w-36"
          data-hook="took"
        />
        <UButton type="submit" size="xs" color="neutral" variant="outline" data-hook="record-took"
          >Record</UButton
        >
      </form>
    </div>
    <div v-if="column.of.mayChange && record" class="flex flex-wrap items-center gap-2 mt-1.5">
      <UButton size="xs" color="neutral" variant="outline" data-hook="take-back" @click="emit('takeBack')"
        >Take the record back</UButton
      >
      <span v-if="behind.length" class="said"
        >and of {{ count(behind.length, 'lesson') }} recorded after it</span
      >
    </div>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { IsoDay, LessonId } from '#core/base'
import type { Meeting } from '#core/calendar'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDay, sayMinute } from '~/shared/words/times'
import { sayNotPlaced } from '../words/ways'

/** The meetings that a lesson takes in a class, or why it has none. */
const props = defineProps<{ column: DeskColumn; lessonId: LessonId }>()
const emit = defineEmits<{
  lose: [at: { on: IsoDay; startMinute: number }]
  giveBack: [at: { on: IsoDay; startMinute: number }]
}>()
const left = computed(() => props.column.of.pacing.left[props.lessonId] ?? null)
const placement = computed(() => props.column.layout?.placements.find((p) => p.lessonId === props.lessonId))
const notPlaced = computed(() => {
  const found = placement.value
  return found && !found.placed
    ? sayNotPlaced(found.because, (id) => props.column.lessons.get(id as LessonId)?.number || 'a lesson')
    : null
})
const slots = computed(() => {
  const found = placement.value
  return found?.placed ? found.slots.flatMap((s) => props.column.calendar.meetings[s.meeting] ?? []) : []
})
const isCalledOff = ({ on, startMinute }: Meeting) =>
  props.column.of.pacing.changes.some(
    (c) => c.kind === 'cancel' && c.on === on && c.startMinute === startMinute,
  )
</script>

<template>
  <section aria-label="Meetings of this lesson">
    <h3>Its meetings</h3>
    <p v-if="notPlaced" class="note-line" :class="left ? 'care' : 'needs'">
      It {{ left ? 'is ' : '' }}{{ notPlaced }}.
    </p>
    <ul>
      <li v-for="m in slots" :key="m.index" class="flex items-center gap-2 border-b border-muted py-1">
        <span class="flex-1 text-sm"
          >{{ sayDay(m.on) }}, {{ sayMinute(m.startMinute) }}
          <span class="said"
            >{{ m.isOff ? 'no longer a meeting' : `${m.minutes} min`
            }}<template v-if="m.because.length"> · {{ m.because.join(', ') }}</template></span
          ></span
        >
        <UButton
          v-if="column.of.mayChange && !m.isOff"
          color="neutral"
          variant="ghost"
          size="xs"
          data-hook="lose"
          @click="emit('lose', { on: m.on, startMinute: m.startMinute })"
          >Lose it</UButton
        >
        <UButton
          v-else-if="column.of.mayChange && isCalledOff(m)"
          color="neutral"
          variant="ghost"
          size="xs"
          data-hook="give-back"
          @click="emit('giveBack', { on: m.on, startMinute: m.startMinute })"
          >Give it back</UButton
        >
      </li>
    </ul>
  </section>
</template>

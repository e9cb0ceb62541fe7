<script setup lang="ts">
import type { Instant, IsoDay } from '#core/base'
import type { useDeskActs } from '../composables/deskActs'
import type { useRecording } from '../composables/recording'
import type { Selection } from '../desk/selection'
import type { DeskColumn } from '../stores/deskColumn'
import LessonInspector from './LessonInspector.vue'
import MeetingInspector from './MeetingInspector.vue'

/** What is chosen on the desk, and what can be done to it. */
const props = defineProps<{
  selection: Selection | null
  column: DeskColumn | null
  now: Instant
  acts: ReturnType<typeof useDeskActs>
  recording: ReturnType<typeof useRecording>
}>()
const emit = defineEmits<{
  choose: [at: Selection]
  add: [column: DeskColumn, meeting: number, title: string]
  announce: [on: IsoDay]
}>()
const written = props.recording
</script>

<template>
  <LessonInspector
    v-if="selection?.kind === 'lesson' && column"
    :column="column"
    :lesson-id="selection.lessonId"
    :now="now"
    @record="written.record($event)"
    @fix="written.fix($event)"
    @leave="written.leave($event)"
    @shift="written.shift($event)"
    @lengthen="acts.lengthen($event)"
    @as-planned="acts.lengthen(null)"
    @take-back="written.takeBack()"
    @lose="acts.lose(column.of.id, $event)"
    @give-back="acts.giveBack(column.of.id, $event)"
    @go-to="emit('choose', { ...selection, classId: $event })"
  />
  <MeetingInspector
    v-else-if="selection?.kind === 'meeting' && column"
    :column="column"
    :on="selection.on"
    :start-minute="selection.startMinute"
    @lose="acts.lose(column.of.id, $event)"
    @give-back="acts.giveBack(column.of.id, $event)"
    @add="(meeting, title) => column && emit('add', column, meeting, title)"
    @announce="emit('announce', $event)"
  />
  <p v-else class="said">Choose a stone to see its lesson.</p>
</template>

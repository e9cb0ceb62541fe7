<script setup lang="ts">
import type { ClassId, Instant, IsoDay, LessonId } from '#core/base'
import type { Moment, Window, WindowField, WindowSpec } from '#core/availability'
import { ABSENT_WORDS, sayMomentSpec } from '~/shared/words/moments'
import { FIELD_WORDS } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'
import type { LessonChoice } from '../lessonsOffered'
import MomentEditor from './MomentEditor.vue'

const props = defineProps<{
  field: WindowField
  who: string
  lessons: readonly LessonChoice[]
  start: LessonId | null
  today: IsoDay
  zone: string
  inherits?: boolean
  resolved?: Instant | null
  bad?: boolean
  /** Whose meetings the month marks. */
  classId?: ClassId | null
  /** The window of which it is a moment, and how that comes out where it does so alike for all. */
  window: WindowSpec
  comesOut: Window | null
  now: Instant
}>()
const moment = defineModel<Moment | null | undefined>({ required: true })
const lessonName = (id: string) => props.lessons.find((l) => l.value === id)?.number ?? 'a lesson'
</script>

<template>
  <UPopover :content="{ align: 'start' }" arrow>
    <button
      type="button"
      class="cell"
      :class="{ bad, soft: moment === undefined }"
      :data-hook="`moment-${field}`"
    >
      <span class="sr-only">{{ who }}, {{ FIELD_WORDS[field] }}:</span>
      <span v-if="resolved !== undefined" class="at">{{
        resolved === null ? ABSENT_WORDS[field] : sayMoment(resolved, zone, field)
      }}</span>
      <span class="spec">{{
        moment === undefined ? 'as for everyone' : sayMomentSpec(moment, field, lessonName)
      }}</span>
    </button>
    <template #content="{ close }"
      ><MomentEditor
        v-model="moment"
        :field="field"
        :lessons="lessons"
        :start="start"
        :today="today"
        :inherits="inherits"
        :class-id="classId ?? null"
        :window="window"
        :comes-out="comesOut"
        :now="now"
        @done="close"
    /></template>
  </UPopover>
</template>

<style scoped>
.cell {
  display: grid;
  width: 100%;
  text-align: left;
  padding: 0.3rem 0.45rem;
  border: 1px solid var(--ui-border);
  border-radius: 4px 5px 3px 5px;
  cursor: pointer;
  min-height: 2.3rem;
  align-content: center;
  line-height: 1.25;
}
.cell:hover {
  border-color: var(--ui-primary);
}
.at {
  font-weight: 600;
  font-size: 0.83rem;
}
.spec {
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
.cell:not(:has(.at)) .spec {
  font-size: var(--text-xs);
  color: var(--ui-text);
}
.bad {
  border-color: var(--ui-error);
  border-width: 2px;
}
</style>

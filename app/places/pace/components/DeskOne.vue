<script setup lang="ts">
import { computed } from 'vue'
import type { Instant, IsoDay, LessonId } from '#core/base'
import type { Stretch } from '#core/pacing'
import { useDesk } from '../stores/desk'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDay, sayMinute, sayTime, zoneNamed } from '~/shared/words/times'
import type { DeskWeek } from '../desk/deskWeeks'
import { meetingRows } from '../desk/meetingRows'
import type { MeetingRow } from '../desk/meetingRows'
import type { Drop, Selection } from '../desk/selection'
import DeskStretch from './DeskStretch.vue'

const props = defineProps<{
  column: DeskColumn
  weeks: readonly DeskWeek[]
  now: Instant
  selection: Selection | null
  before?: DeskColumn | null
}>()
const emit = defineEmits<{
  select: [at: Selection]
  drop: [drop: Drop]
  stretch: [column: DeskColumn, lessonId: LessonId, halves: number]
}>()
const desk = useDesk()
const pick = (at: Selection) => emit('select', at)
const drop = (what: Drop) => emit('drop', what)
const stretch = (column: DeskColumn, lessonId: LessonId, halves: number) =>
  emit('stretch', column, lessonId, halves)

const rows = computed(
  () => new Map(props.weeks.map((w) => [w.mondayOn, meetingRows(props.column, w.mondayOn)])),
)
const chosen = (row: MeetingRow, s: Stretch) => {
  const at = props.selection
  if (!at || at.classId !== props.column.of.id) return false
  return at.kind === 'lesson'
    ? s.kind === 'stone' && s.lessonId === at.lessonId
    : s.kind !== 'stone' && row.on === at.on && row.startMinute === at.startMinute
}
const dates = (of: DeskColumn, id: LessonId) => {
  const e = of.extents.get(id)
  return e ? `${of.calendar.meetings[e.first]?.on} ${of.calendar.meetings[e.last]?.on}` : ''
}
const isGhost = (s: Stretch) =>
  s.kind === 'stone' &&
  props.before != null &&
  props.before !== props.column &&
  dates(props.column, s.lessonId) !== dates(props.before, s.lessonId)
/** Work by the local day on which it opens or falls due. */
const workByDay = computed(() => {
  const days = new Map<string, { key: string; id: string; text: string; due: boolean }[]>()
  const zone = zoneNamed(desk.zone)
  const put = (at: Instant | null, ends: boolean, title: string, id: string) => {
    if (at === null) return
    const on = zone.local((ends ? at - 1 : at) as Instant).on
    const midnight = ends ? 'end of day' : ''
    const time = zone.local(at).minuteOfDay === 0 ? midnight : sayTime(at, desk.zone)
    const text = `${title} ${ends ? 'due' : 'opens'} ${time}`
    days.set(on, [...(days.get(on) ?? []), { key: `${id} ${ends}`, id, text, due: ends }])
  }
  for (const w of desk.work.filter((w) => w.classId === props.column.of.id)) {
    put(w.opensAt, false, w.title, w.assignmentId)
    put(w.dueAt, true, w.title, w.assignmentId)
  }
  return days
})
/** Work is shown once a day, beside the day's first meeting. */
const workAt = (monday: IsoDay, i: number) => {
  const list = rows.value.get(monday) ?? []
  return list[i - 1]?.on === list[i]?.on ? [] : (workByDay.value.get(list[i]?.on ?? '') ?? [])
}
</script>

<template>
  <div class="one" role="grid" :aria-label="`${column.of.name}, a row for each meeting`">
    <template v-for="w in weeks" :key="w.mondayOn">
      <div :id="`week-${w.mondayOn}`" role="row" class="weekhead" :class="{ current: w.isCurrent }">
        <div role="rowheader">
          Week of {{ sayDay(w.mondayOn) }}<template v-if="w.termStarts"> · {{ w.termStarts }}</template>
        </div>
        <div v-if="w.closures.length" role="gridcell" class="closed">
          <span>{{ w.closures.join(' · ') }}</span>
        </div>
      </div>
      <div
        v-for="(row, i) in rows.get(w.mondayOn)"
        :key="row.key"
        role="row"
        class="meeting"
        :class="{ past: row.meeting && row.meeting.endsAt <= now }"
      >
        <div role="rowheader" class="when">{{ sayDay(row.on) }}</div>
        <div role="gridcell" class="said">
          {{ sayMinute(row.startMinute)
          }}<template v-if="row.meeting"> · {{ row.meeting.minutes }} min</template>
        </div>
        <div role="gridcell" class="stones" :style="{ gridTemplateColumns: `repeat(12, minmax(0, 1fr))` }">
          <DeskStretch
            v-for="(s, n) in row.stretches"
            :key="n"
            :column="column"
            :stretch="s"
            :now="now"
            roomy
            :selected="chosen(row, s)"
            :lit="false"
            :reachable="chosen(row, s)"
            :ghost="isGhost(s)"
            @select="pick"
            @drop="drop"
            @stretch="stretch"
          />
        </div>
        <div role="gridcell" class="tied">
          <span v-if="row.meeting?.because.length" class="said">{{ row.meeting.because.join(', ') }}</span>
          <NuxtLink
            v-for="x in workAt(w.mondayOn, i)"
            :key="x.key"
            class="work"
            :class="{ due: x.due }"
            :to="`/work/${x.id}`"
            >{{ x.text }}</NuxtLink
          >
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.one {
  padding: 0 1rem 3rem;
  max-width: 72rem;
}
.weekhead {
  display: flex;
  gap: 1rem;
  align-items: baseline;
  padding: 0.9rem 0 0.25rem;
  font-weight: 650;
  font-size: 0.84rem;
  border-bottom: 1px solid var(--line);
}
.weekhead.current {
  color: var(--today);
}
.closed {
  flex: 1;
  background: var(--hatch);
  font-weight: 400;
  font-size: var(--text-xs);
  border-radius: 3px;
  padding-inline: 0.4rem;
}
.closed span {
  background: var(--ui-bg);
  padding: 0 0.4rem;
}
.meeting {
  display: grid;
  grid-template-columns: 5.6rem 8.6rem minmax(14rem, 26rem) minmax(10rem, 1fr);
  gap: 0.6rem;
  align-items: center;
  padding: 0.18rem 0;
  border-bottom: 1px solid var(--ui-border-muted);
  min-height: 2.35rem;
}
.when {
  font-size: 0.84rem;
  font-variant-numeric: tabular-nums;
}
.stones {
  display: grid;
  gap: 3px;
  grid-auto-rows: 2rem;
}
.tied {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.7rem;
  font-size: var(--text-xs);
}
.work {
  min-height: 24px;
  padding-block: 2px;
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 2px;
}
.work.due {
  font-weight: 650;
}
@media (max-width: 900px) {
  .meeting {
    grid-template-columns: 5.2rem 1fr;
  }
  .meeting .said {
    text-align: right;
  }
  .stones,
  .tied {
    grid-column: 1 / -1;
  }
}
</style>

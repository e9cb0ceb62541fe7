<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { addDays, dayNumber, mondayOf } from '#core/base'
import type { IsoDay, SeriesId } from '#core/base'
import type { RowDays } from '#core/series'
import type { ClassSeries } from '#shared/contracts/series'
import { sayDate, sayDay } from '~/shared/words/times'
import type { SeriesLane } from '../../composables/seriesLane'

const DAY = 7
/**
 * The class's lessons and, beside them, a lane for each series: time runs down, every row is a stone as high as its
 * window. An edge that is dragged sets that day by hand.
 */
const props = defineProps<{
  of: ClassSeries
  lanes: readonly SeriesLane[]
  chosen: SeriesId | null
  row: string | null
  today: IsoDay
}>()
const emit = defineEmits<{
  choose: [id: SeriesId, rowId: string | null]
  days: [id: SeriesId, rowId: string, own: Partial<RowDays>]
}>()
const scroller = ref<HTMLElement | null>(null)
const firstOn = computed(() => mondayOf(props.of.firstOn))
const weeks = computed(() => {
  const list: IsoDay[] = []
  for (let on = firstOn.value; on <= props.of.days.lastOn; on = addDays(on, 7)) list.push(on)
  return list
})
const open = computed(() => new Set(props.of.days.schoolDays))
const isClosed = (monday: IsoDay) => [0, 1, 2, 3, 4].every((n) => !open.value.has(addDays(monday, n)))
const topOf = (on: IsoDay) => (dayNumber(on) - dayNumber(firstOn.value)) * DAY
const daysIn = (from: IsoDay, through: IsoDay) => dayNumber(through) - dayNumber(from) + 1
function placeOf(from: IsoDay, through: IsoDay) {
  return {
    top: `${topOf(from)}px`,
    height: `${Math.max(1, dayNumber(through) - dayNumber(from) + 1) * DAY - 2}px`,
  }
}
/** While an edge is held: the row, and the day it would get. */
const held = ref<{ readonly rowId: string; readonly field: keyof RowDays; readonly on: IsoDay } | null>(null)
/** Each lane with its stones; the one whose edge is held is as long as it would be. */
const columns = computed(() =>
  props.lanes.map((lane) => ({
    lane,
    stones: lane.laid.flatMap(({ rowId, days }, i) => {
      if (days === null) return []
      const own = held.value?.rowId === rowId ? { ...days, [held.value.field]: held.value.on } : days
      const lasts = daysIn(own.opensOn, own.throughOn)
      const title = lane.titleOf(rowId)
      const said = `Row ${i + 1}, ${title}, ${sayDay(own.opensOn)} through ${sayDay(own.throughOn)}`
      return [{ rowId, nth: i + 1, title, lasts, said, place: placeOf(own.opensOn, own.throughOn) }]
    }),
  })),
)
function hold(event: PointerEvent, lane: SeriesLane, rowId: string, field: keyof RowDays): void {
  const days = lane.laid.find((r) => r.rowId === rowId)?.days
  if (!days || !props.of.mayChange) return
  event.preventDefault()
  const from = event.clientY
  const edge = event.currentTarget as HTMLElement
  edge.setPointerCapture(event.pointerId)
  const move = (e: PointerEvent) => {
    const on = addDays(days[field], Math.round((e.clientY - from) / DAY))
    const isSound = field === 'throughOn' ? on >= days.opensOn : on <= days.throughOn
    if (isSound) held.value = { rowId, field, on }
  }
  const end = () => {
    edge.removeEventListener('pointermove', move)
    if (held.value && held.value.on !== days[field])
      emit('days', lane.kept.id, rowId, { [field]: held.value.on })
    held.value = null
  }
  edge.addEventListener('pointermove', move)
  edge.addEventListener('pointerup', end, { once: true })
}
/** Up and down go from row to row; with Shift, the last day moves. */
function keys(event: KeyboardEvent, lane: SeriesLane, rowId: string): void {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  const days = lane.laid.find((r) => r.rowId === rowId)?.days
  if (event.shiftKey && days) {
    const throughOn = addDays(days.throughOn, by)
    if (props.of.mayChange && throughOn >= days.opensOn) emit('days', lane.kept.id, rowId, { throughOn })
    return
  }
  const all = lane.laid.filter((r) => r.days)
  const next = all[all.findIndex((r) => r.rowId === rowId) + by]
  if (!next) return
  emit('choose', lane.kept.id, next.rowId)
  void nextTick(() => {
    scroller.value?.querySelector<HTMLElement>(`[data-row="${CSS.escape(next.rowId)}"]`)?.focus()
  })
}
watch(
  () => [props.of.classId, scroller.value] as const,
  () => {
    if (scroller.value) scroller.value.scrollTop = Math.max(0, topOf(props.today) - 80)
  },
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <div ref="scroller" class="scroll" data-hook="lanes" tabindex="0" aria-label="Time line of the series">
    <div class="heads">
      <span class="week-head" />
      <span class="lane-head">Lessons</span>
      <button
        v-for="lane in lanes"
        :key="lane.kept.id"
        type="button"
        class="lane-head"
        :class="{ on: lane.kept.id === chosen }"
        @click="emit('choose', lane.kept.id, null)"
      >
        {{ lane.kept.series.title }}
      </button>
    </div>
    <div class="ground" :style="{ height: `${weeks.length * 7 * DAY}px` }">
      <div
        v-for="w in weeks"
        :key="w"
        class="week"
        :class="{ closed: isClosed(w) }"
        :style="{ top: `${topOf(w)}px`, height: `${7 * DAY}px` }"
      >
        <span>{{ sayDate(w) }}</span>
      </div>
      <div
        v-if="today >= firstOn && today <= of.days.lastOn"
        class="now"
        :style="{ top: `${topOf(today)}px` }"
      />
      <div class="lanes">
        <div class="lane">
          <div
            v-for="l in of.lessons"
            :key="l.number + l.firstOn"
            class="lesson"
            :style="placeOf(l.firstOn, l.lastOn)"
            :title="`${l.number} ${l.title}`"
          >
            {{ daysIn(l.firstOn, l.lastOn) > 1 ? l.number : '' }}
          </div>
        </div>
        <div
          v-for="c in columns"
          :key="c.lane.kept.id"
          class="lane"
          :class="{ on: c.lane.kept.id === chosen }"
        >
          <div
            v-for="stone in c.stones"
            :key="stone.rowId"
            class="stone"
            :class="{
              set: c.lane.released.has(stone.rowId),
              picked: stone.rowId === row,
              short: stone.lasts < 5,
            }"
            :style="stone.place"
          >
            <span class="edge up" @pointerdown="hold($event, c.lane, stone.rowId, 'opensOn')" />
            <button
              type="button"
              :data-row="stone.rowId"
              :aria-label="stone.said"
              @click="emit('choose', c.lane.kept.id, stone.rowId)"
              @keydown="keys($event, c.lane, stone.rowId)"
            >
              <span class="words"
                >{{ stone.nth }} <template v-if="stone.lasts > 1">{{ stone.title }}</template></span
              >
            </button>
            <span
              class="edge down"
              data-hook="lane-edge"
              @pointerdown="hold($event, c.lane, stone.rowId, 'throughOn')"
            />
          </div>
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped src="./lanes.css"></style>

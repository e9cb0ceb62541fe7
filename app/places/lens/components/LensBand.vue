<script setup lang="ts">
import { computed } from 'vue'
import type { Instant, UserId } from '#core/base'
import { scaleFor, windowState } from '#core/availability'
import type { Window, WorkState } from '#core/availability'
import type { Meeting } from '#core/calendar'
import type { LensView } from '#shared/contracts/lens'
import WindowLine from '~/shared/charts/WindowLine.vue'
import { sayMoment, zoneNamed } from '~/shared/words/times'

const props = defineProps<{
  view: LensView
  people: readonly { readonly label: string; readonly value: string }[]
  meetings: ReadonlyMap<string, readonly Meeting[]>
}>()
const emit = defineEmits<{ at: [at: Instant | null]; learner: [id: UserId] }>()
const HOUR = 3_600_000
const DAY = 24 * HOUR
/** Three weeks back and four ahead of now: what a teacher is asked about. */
const scale = computed(() => {
  const { now, at } = props.view
  const { from, until } = scaleFor([], now)
  return {
    from: Math.min(from - 20 * DAY, at - DAY) as Instant,
    until: Math.max(until + 21 * DAY, at + DAY) as Instant,
  }
})
const rows = computed(() =>
  props.view.rows.flatMap((r) => {
    const { terms } = r
    if (terms === null || r.notThere?.code === 'withdrawn') return []
    const ends = terms.putAway ?? terms.closes ?? terms.due
    const isPast = ends !== null && ends < scale.value.from
    const isAhead = terms.opens !== null && terms.opens > scale.value.until
    return isPast || isAhead ? [] : [{ ...r, terms, key: `${r.assignmentId} ${r.pieceId}` }]
  }),
)
/** What can be done then stands first, then what comes, then what is over. */
const inTurn = computed(() => {
  const rank = (terms: Window) => ORDER.indexOf(windowState(terms, props.view.at).state)
  return [...rows.value].sort((a, b) => rank(a.terms) - rank(b.terms))
})
const ORDER: readonly WorkState[] = ['open', 'late', 'coming-up', 'not-listed', 'closed', 'put-away']
const shownName = computed(
  () => props.people.find((p) => p.value === props.view.learner.id)?.label ?? props.view.learner.name,
)
const isNow = computed(() => Math.abs(props.view.at - props.view.now) < 60_000)
/** The same time of day on another day, whatever the clocks do between. */
function byDays(days: number): Instant {
  const zone = zoneNamed(props.view.zone)
  const { minuteOfDay } = zone.local(props.view.at)
  return zone.at(zone.local((props.view.at + days * DAY) as Instant).on, minuteOfDay)
}
const next = computed(() => props.view.changes[0] ?? null)
function toNext(): void {
  if (next.value) emit('at', next.value.at)
}
function slide(event: Event): void {
  emit('at', Number((event.target as HTMLInputElement).value) as Instant)
}
</script>

<template>
  <section class="band" aria-label="Lens" data-hook="lens-band">
    <div class="who">
      <h1 class="sr-only">Lens</h1>
      <p class="text-sm">Seeing, read only, what</p>
      <USelectMenu
        :model-value="view.learner.id"
        :items="[...people]"
        value-key="value"
        class="w-76"
        :aria-label="`${shownName}: whose screen is seen`"
        data-hook="lens-learner"
        @update:model-value="emit('learner', $event as UserId)"
      />
      <p class="text-sm">sees on</p>
      <strong data-hook="lens-at">{{ sayMoment(view.at, view.zone) }}</strong>
      <span v-if="isNow" class="text-sm">(now)</span>
      <div class="flex-1" />
      <UButton
        color="neutral"
        variant="outline"
        icon="i-lucide-chevron-left"
        data-hook="day-back"
        @click="emit('at', byDays(-1))"
        >A day back</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :disabled="isNow"
        data-hook="lens-now"
        @click="emit('at', null)"
        >Now</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        trailing-icon="i-lucide-chevron-right"
        data-hook="day-on"
        @click="emit('at', byDays(1))"
        >A day on</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        trailing-icon="i-lucide-chevrons-right"
        :disabled="!next"
        data-hook="next-change"
        @click="toNext"
        >Next change</UButton
      >
    </div>
    <div class="times">
      <div class="rows" tabindex="0" role="group" aria-label="Windows of their work">
        <div v-for="r in inTurn" :key="r.key" class="row">
          <span class="title">{{ r.pieceTitle ?? r.title }}</span>
          <WindowLine
            :window="r.terms"
            :scale="scale"
            :at="view.at"
            :meetings="meetings.get(r.classId ?? '')"
          />
        </div>
      </div>
      <div class="row">
        <span class="title said"
          >{{ sayMoment(scale.from, view.zone).split(',')[0] }} to
          {{ sayMoment(scale.until, view.zone).split(',')[0] }}</span
        >
        <input
          type="range"
          :min="scale.from"
          :max="scale.until"
          :step="HOUR"
          :value="view.at"
          aria-label="Instant that is looked at"
          :aria-valuetext="sayMoment(view.at, view.zone)"
          data-hook="lens-slider"
          @change="slide"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.band {
  background: color-mix(in oklab, var(--ui-primary) 11%, var(--ui-bg));
  border-bottom: 3px solid var(--ui-primary);
  padding: 0.7rem 1.25rem;
  display: grid;
  gap: 0.6rem;
}
.who {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.rows {
  max-height: 7.5rem;
  margin-bottom: 0.4rem;
  overflow-y: auto;
  scrollbar-gutter: stable;
}
.row {
  display: grid;
  grid-template-columns: 15rem 1fr;
  gap: 0.8rem;
  align-items: center;
}
.times > .row {
  padding-right: 0.9rem;
}
.title {
  overflow-wrap: anywhere;
  font-size: var(--text-xs);
  line-height: 1.2;
}
input[type='range'] {
  width: 100%;
  margin: 0;
  accent-color: var(--ui-error);
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 8rem 1fr;
  }
}
</style>

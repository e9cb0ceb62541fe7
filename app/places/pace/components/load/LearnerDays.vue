<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { addDays, mondayOf } from '#core/base'
import type { IsoDay, UserId } from '#core/base'
import { betterDays } from '#core/load'
import type { Spread } from '#core/load'
import { ShowLoadOf } from '#shared/contracts/load'
import type { ClassLoad, LearnersPieces } from '#shared/contracts/load'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDate, sayDay, zoneNamed } from '~/shared/words/times'
import WeekLine from './WeekLine.vue'

/** One learner's week, day by day, with the pieces of all their classes, and days that would be better. */
const props = defineProps<{ of: ClassLoad; spread: Spread; learnerId: UserId; week: IsoDay }>()
const emit = defineEmits<{ close: [] }>()
const found = shallowRef<LearnersPieces | null>(null)
const problem = ref('')
watch(
  () => [props.of.classId, props.learnerId, props.spread] as const,
  async ([classId, learnerId, spread]) => {
    found.value = null
    const reply = await call(ShowLoadOf, { params: { classId, learnerId }, query: { spread } })
    // another one was chosen meanwhile
    if (learnerId !== props.learnerId || spread !== props.spread) return
    problem.value = reply.ok ? '' : sayRefusal(reply.error)
    if (reply.ok) found.value = reply.value
  },
  { immediate: true },
)
const own = computed(() => props.of.learners.find((l) => l.id === props.learnerId))
const days = computed(() => {
  const { load } = found.value ?? {}
  return (load?.days ?? []).flatMap((on, i) =>
    mondayOf(on) === props.week ? [{ on, minutes: Math.round(load?.learners[0]?.days[i] ?? 0) }] : [],
  )
})
/** Days over the limit, as the server found them. */
const over = computed(() => new Set(found.value?.heavyDays))
const most = computed(() =>
  Math.max(props.of.limits.minutesPerDay ?? 60, ...days.value.map((d) => d.minutes)),
)
/** Room is left beyond the limit, so that its mark is seen. */
const share = (minutes: number) => `${(92 * minutes) / most.value}%`
const pieces = computed(() =>
  (found.value?.pieces ?? []).filter((p) => p.fromOn < addDays(props.week, 7) && p.throughOn >= props.week),
)
const heaviest = computed(() => days.value.toSorted((a, b) => b.minutes - a.minutes)[0])
const today = computed(() => zoneNamed(props.of.zone).local(props.of.now).on)
/** Of the days to come: what is past is nobody's choice. */
const better = computed(() => {
  if (!found.value || !heaviest.value || heaviest.value.on < today.value) return []
  const near = betterDays(found.value.load, heaviest.value.on, { within: 8, count: 16 })
  return near.filter((b) => b.on >= today.value).slice(0, 3)
})
</script>

<template>
  <aside class="panel" :aria-label="`Week of ${own?.name ?? 'a learner'}`" data-hook="learner-days">
    <header class="flex items-start gap-2">
      <div class="flex-1">
        <h2>{{ own?.name }}</h2>
        <p class="said">Week of {{ sayDate(week) }}</p>
      </div>
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        aria-label="Close the week"
        @click="emit('close')"
      />
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="!found" class="said">Opening …</p>
    <ul class="days">
      <li v-for="d in days" :key="d.on">
        <span>{{ sayDay(d.on) }}</span>
        <span class="bar" aria-hidden="true"
          ><i :style="{ width: share(d.minutes) }" /><b
            v-if="of.limits.minutesPerDay"
            :style="{ left: share(of.limits.minutesPerDay) }"
        /></span>
        <span :class="{ much: over.has(d.on) }">{{ d.minutes }} min</span>
      </li>
    </ul>
    <p v-if="found && of.limits.minutesPerDay" class="said">
      The mark stands at {{ of.limits.minutesPerDay }} minutes a day.
    </p>
    <p v-if="heaviest && better.length && heaviest.minutes > 0" class="said" data-hook="better-days">
      Lighter for them than {{ sayDay(heaviest.on) }}:
      {{ better.map((b) => `${sayDay(b.on)} (${Math.round(b.most)} min)`).join(', ') }}.
    </p>
    <WeekLine v-if="own" :of="own" :weeks="of.weeks" :week="week" :ceiling="of.limits.minutesPerWeek" />
    <h3 v-if="found" class="mt-3">{{ count(pieces.length, 'piece') }} in this week</h3>
    <ul class="pieces">
      <li v-for="(p, i) in pieces" :key="i">
        <strong>{{ p.title }}</strong>
        <span class="said">
          {{ p.className }} · {{ KIND_WORDS[p.kind] }} · {{ p.minutes }} min · {{ sayDay(p.fromOn) }} to
          {{ sayDay(p.throughOn) }}</span
        >
      </li>
    </ul>
  </aside>
</template>

<style scoped>
.panel {
  padding: 0.8rem 1rem;
  background: var(--ui-bg-muted);
  border: 1px solid var(--ui-border);
  border-radius: 0.5rem;
  align-self: start;
  display: grid;
  gap: 0.6rem;
}
.days {
  display: grid;
  gap: 0.25rem;
}
.days li {
  display: grid;
  grid-template-columns: 6.5rem 1fr 4rem;
  gap: 0.5rem;
  align-items: center;
  font-variant-numeric: tabular-nums;
}
.bar {
  position: relative;
  height: 0.7rem;
  background: var(--ui-bg-accented);
  border-radius: 2px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--ui-primary);
  border-radius: 2px;
}
/* as far as a day shall go */
.bar b {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 2px;
  background: var(--ui-error);
}
.much {
  font-weight: 700;
  color: var(--ui-error);
}
.pieces {
  display: grid;
  gap: 0.4rem;
}
.pieces li {
  display: grid;
}
</style>

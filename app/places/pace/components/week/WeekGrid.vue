<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, IsoDay } from '#core/base'
import type { LessonInWeek, Missing, WeekDay, WeekMoment } from '#core/week'
import type { WeekAhead } from '#shared/contracts/week'
import { count } from '~/shared/words/numbers'
import { sayDay, sayMinute, sayTime, zoneNamed } from '~/shared/words/times'

/** The week's days down and the classes across: each lesson as a stone, beneath it what opens, is due and closes. */
const props = defineProps<{ week: WeekAhead; today: IsoDay }>()
const zone = computed(() => zoneNamed(props.week.zone))
const dayAt = (days: readonly WeekDay[], i: number) => days[i]
/** Saturday and Sunday only where something is on them. */
const rows = computed(() =>
  [0, 1, 2, 3, 4, 5, 6].flatMap((i) => {
    const days = props.week.classes.map((c) => dayAt(c.days, i))
    const isUsed = days.some((d) => d && d.meetings.length + d.moments.length > 0)
    const on = days[0]?.on
    return on && (i < 5 || isUsed) ? [{ i, on }] : []
  }),
)
const closureOn = (on: IsoDay) => props.week.closures.find((c) => c.fromOn <= on && on <= c.throughOn)
const MISSING: Record<Missing['code'], string> = {
  'no-test': 'nothing to write yet',
  'no-work': 'no work for it',
  held: 'still held',
  'to-print': 'a page to print',
}
function missingLink(missing: Missing, lesson: LessonInWeek, classId: ClassId) {
  if (missing.code === 'held' || missing.code === 'to-print') return { path: `/work/${missing.assignmentId}` }
  return { path: '/shelf', query: { lesson: lesson.id, class: classId } }
}
function sayMissing(missing: Missing): string {
  const title = 'title' in missing ? `“${missing.title}”: ` : ''
  return `${title}${MISSING[missing.code]}`
}
/** A whole day has no time. */
const timeOf = (m: WeekMoment) =>
  m.what === 'opens' && zone.value.local(m.at).minuteOfDay > 0 ? sayTime(m.at, props.week.zone) : ''
</script>

<template>
  <table class="week" data-hook="week-grid">
    <thead>
      <tr>
        <th scope="col" class="day"><span class="sr-only">Day</span></th>
        <th v-for="c in week.classes" :key="c.classId" scope="col">
          <NuxtLink class="plain" :to="{ path: '/pace', query: { class: c.classId } }">{{ c.name }}</NuxtLink>
          <span class="said count">{{ count(c.learners, 'learner') }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="r in rows"
        :key="r.on"
        :class="{ now: r.on === today, shut: closureOn(r.on)?.kind === 'closure' }"
      >
        <th scope="row" class="day">
          {{ sayDay(r.on) }}
          <span v-if="r.on === today" class="today">today</span>
          <span v-if="closureOn(r.on)" class="said closure">{{ closureOn(r.on)?.name }}</span>
        </th>
        <td v-for="c in week.classes" :key="c.classId">
          <template v-for="m in dayAt(c.days, r.i)?.meetings" :key="m.index">
            <p class="time">
              {{ sayMinute(zone.local(m.startsAt).minuteOfDay)
              }}<template v-if="m.label"> · {{ m.label }}</template> · {{ m.minutes }} min
            </p>
            <NuxtLink
              v-for="l in m.lessons"
              :key="l.id"
              class="stone"
              :class="{ lacks: l.missing.length }"
              :to="{ path: '/pace', query: { class: c.classId, lesson: l.id } }"
            >
              <span class="code">{{ l.number }}</span> {{ l.title }}
              <span v-if="l.of > 1" class="said">{{ l.nth }} of {{ l.of }}</span>
            </NuxtLink>
            <template v-for="l in m.lessons" :key="`missing ${l.id}`">
              <NuxtLink
                v-for="x in l.missing"
                :key="x.code"
                class="missing"
                :to="missingLink(x, l, c.classId)"
                data-hook="week-missing"
                >{{ sayMissing(x) }}</NuxtLink
              >
            </template>
            <p v-if="m.lessons.length === 0" class="said">{{ c.hasPlan ? 'free' : 'no plan' }}</p>
          </template>
          <p v-for="l in dayAt(c.days, r.i)?.lost" :key="l.because" class="said">no class: {{ l.because }}</p>
          <NuxtLink
            v-for="m in dayAt(c.days, r.i)?.moments"
            :key="`${m.assignmentId} ${m.what}`"
            class="moment"
            :class="[m.what, { held: m.isHeld }]"
            :to="`/work/${m.assignmentId}`"
            ><b>{{ m.what }}</b> {{ m.title }} <span class="said">{{ timeOf(m) }}</span></NuxtLink
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped src="./week.css"></style>

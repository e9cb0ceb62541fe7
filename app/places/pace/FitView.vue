<script setup lang="ts">
import { navigateTo, useHead, useRoute, useRouter } from '#imports'
import { computed, onMounted, ref, watch } from 'vue'
import type { ClassId, LessonId } from '#core/base'
import { commandsBetween, courseOf, fit, layOut, reachesOf, withCuts } from '#core/pacing'
import type { Cut, PlanLesson } from '#core/pacing'
import { useTell } from '~/shared/frame/tell'
import { useDesk } from './stores/desk'
import { count, meetingsOf } from '~/shared/words/numbers'
import { COST_OF_CUTS, sayAmount, sayNotPlaced } from './words/ways'

useHead({ title: 'Make it fit · Step Cairn' })
const desk = useDesk()
const tell = useTell()
const route = useRoute()
const router = useRouter()
onMounted(() => desk.load())

const mine = computed(() => desk.columns.filter((c) => c.plan && c.of.mayChange))
const column = computed(
  () =>
    mine.value.find((c) => c.of.id === route.query.class) ??
    mine.value.find((c) => c.unplaced.length > 0) ??
    mine.value[0] ??
    null,
)
/** What the teacher decided against or for, beside what is cheapest. */
const keep = ref<ReadonlySet<LessonId>>(new Set())
const leaveOut = ref<ReadonlySet<LessonId>>(new Set())
const busy = ref(false)
watch(
  () => column.value?.of.id,
  () => {
    keep.value = new Set()
    leaveOut.value = new Set()
  },
)

const terms = computed(() => desk.year?.terms ?? [])
const course = computed(() =>
  column.value?.plan
    ? courseOf(column.value.plan, column.value.calendar.meetings, column.value.of.pacing, {
        terms: terms.value,
      })
    : null,
)
const reaches = computed(() =>
  course.value ? reachesOf(course.value).filter((r) => r.lessonIds.length > 0) : [],
)
const shortBy = computed(() => reaches.value.reduce((n, r) => n + Math.max(0, -r.slackHalves), 0))
const got = computed(() =>
  course.value ? fit(course.value, { keep: keep.value, leaveOut: leaveOut.value }) : null,
)
const after = computed(() =>
  column.value?.plan && got.value
    ? layOut(column.value.plan, column.value.calendar.meetings, {
        pacing: withCuts(column.value.of.pacing, got.value.cuts),
        terms: terms.value,
      })
    : null,
)
const stillOut = computed(
  () =>
    after.value?.placements.flatMap((p) =>
      !p.placed && p.because.why !== 'let-go' && p.because.why !== 'not-covered' ? [p] : [],
    ) ?? [],
)
const lesson = (id: LessonId): PlanLesson | undefined => column.value?.lessons.get(id)
const name = (id: LessonId) => `${lesson(id)?.number ?? ''} ${lesson(id)?.title ?? ''}`.trim()
const winsBack = computed(
  () => got.value?.cuts.reduce((n, c) => n + (c.unit === 'meetings' ? c.from - c.to : 0), 0) ?? 0,
)
const others = computed(() =>
  (column.value?.sequence ?? []).filter(
    (l) =>
      l.weight !== 'core' &&
      !l.fixed &&
      !got.value?.cuts.some((c) => c.lessonId === l.id) &&
      course.value?.items.some((i) => i.lesson.id === l.id),
  ),
)

function set(which: 'keep' | 'leave out', id: LessonId, on: boolean): void {
  const of = which === 'keep' ? keep : leaveOut
  const next = new Set(of.value)
  if (on) next.add(id)
  else next.delete(id)
  of.value = next
}
function protect(cut: Cut): void {
  set('keep', cut.lessonId, true)
  set('leave out', cut.lessonId, false)
}
async function apply(): Promise<void> {
  const c = column.value
  if (!c || !got.value) return
  const commands = commandsBetween(c.of.id, c.of.pacing, withCuts(c.of.pacing, got.value.cuts))
  if (commands.length === 0) return
  busy.value = true
  const reply = await desk.act({ kind: 'together', purpose: { code: 'fit' }, commands })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  tell.done(`${c.of.name}: ${count(commands.length, 'lesson')} changed. Undo takes it back in one step.`)
  await navigateTo({ path: '/pace', query: { class: c.of.id } })
}
function choose(id: ClassId): void {
  void router.replace({ query: { class: id } })
}
</script>

<template>
  <div class="p-5 grid gap-5 max-w-4xl">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Make it fit</h1>
      </div>
      <div class="flex gap-1.5" role="group" aria-label="Class">
        <UButton
          v-for="c in mine"
          :key="c.of.id"
          size="xs"
          color="neutral"
          :variant="c.of.id === column?.of.id ? 'solid' : 'subtle'"
          :aria-pressed="c.of.id === column?.of.id"
          @click="choose(c.of.id)"
          >{{ c.of.shortName }}</UButton
        >
      </div>
    </header>
    <p v-if="desk.loaded && !column" class="said">
      None of your classes has a plan yet.
      <NuxtLink class="plain" to="/classes/plans">Lay one out</NuxtLink> first.
    </p>
    <template v-if="column && got">
      <section aria-labelledby="st-h">
        <h2 id="st-h">{{ column.of.name }}</h2>
        <table class="grid-table mt-1">
          <thead>
            <tr>
              <th scope="col">Stretch</th>
              <th scope="col">Lessons</th>
              <th scope="col">Meetings there are</th>
              <th scope="col">Needed</th>
              <th scope="col">Slack</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(r, i) in reaches" :key="i">
              <th scope="row">
                {{
                  r.upTo
                    ? `up to ${name(r.upTo)}`
                    : r.endsBecause === 'part'
                      ? 'to the end of the part'
                      : 'to the end of the year'
                }}
              </th>
              <td>{{ r.lessonIds.length }}</td>
              <td>{{ meetingsOf(r.capacityHalves) }}</td>
              <td>{{ meetingsOf(r.needHalves) }}</td>
              <td :class="{ 'text-error font-semibold': r.slackHalves < 0 }">
                {{ meetingsOf(r.slackHalves) }}
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <p v-if="shortBy === 0 && got.cuts.length === 0" class="note-line fine" role="status">
        Everything fits. Nothing has to be shortened or left out.
      </p>
      <section v-else aria-labelledby="cut-h" data-hook="fit">
        <h2 id="cut-h">{{ meetingsOf(shortBy) }} {{ shortBy <= 2 ? 'meeting' : 'meetings' }} too long</h2>
        <p class="note-line my-2" :class="got.fits ? 'fine' : 'needs'" role="status">
          <template v-if="got.fits"
            >The cheapest way that fits exactly: {{ count(got.cuts.length, 'lesson') }} cut,
            {{ meetingsOf(winsBack) }} meetings won back, cost {{ got.price }}.</template
          ><template v-else
            >It cannot fit, even with everything at its least{{ keep.size ? ' beside what you keep' : '' }}.
            {{ count(stillOut.length, 'lesson') }} would still have no place.</template
          >
        </p>
        <table v-if="got.cuts.length" class="grid-table" data-hook="cuts">
          <thead>
            <tr>
              <th scope="col">Lesson</th>
              <th scope="col">Weight</th>
              <th scope="col">Length</th>
              <th scope="col">Cost</th>
              <th scope="col"><span class="sr-only">Decide</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in got.cuts" :key="c.lessonId">
              <th scope="row">{{ name(c.lessonId) }}</th>
              <td>{{ lesson(c.lessonId)?.kind === 'buffer' ? 'catch-up' : lesson(c.lessonId)?.weight }}</td>
              <td>
                {{ sayAmount(c.unit, c.from) }} → {{ c.to === 0 ? 'left out' : sayAmount(c.unit, c.to) }}
              </td>
              <td>{{ c.price }}</td>
              <td>
                <UButton
                  size="xs"
                  color="neutral"
                  variant="outline"
                  :aria-label="`Keep ${name(c.lessonId)} as it is`"
                  data-hook="keep"
                  @click="protect(c)"
                  >Keep as it is</UButton
                >
              </td>
            </tr>
          </tbody>
        </table>
        <ul v-if="stillOut.length" class="text-sm mt-2">
          <li v-for="p in stillOut" :key="p.lessonId">
            {{ name(p.lessonId) }}:
            {{ p.placed ? '' : sayNotPlaced(p.because, (id) => lesson(id as LessonId)?.number ?? '') }}
          </li>
        </ul>
        <div v-if="keep.size || leaveOut.size" class="flex flex-wrap gap-1.5 mt-3 items-center">
          <span class="said">You decided:</span>
          <UButton
            v-for="id in keep"
            :key="id"
            size="xs"
            color="neutral"
            variant="soft"
            trailing-icon="i-lucide-x"
            :aria-label="`No longer keep ${name(id)}`"
            @click="set('keep', id, false)"
            >keep {{ lesson(id)?.number }}</UButton
          >
          <UButton
            v-for="id in leaveOut"
            :key="id"
            size="xs"
            color="neutral"
            variant="soft"
            trailing-icon="i-lucide-x"
            :aria-label="`No longer leave out ${name(id)}`"
            @click="set('leave out', id, false)"
            >leave out {{ lesson(id)?.number }}</UButton
          >
        </div>
        <details v-if="others.length" class="mt-3">
          <summary class="cursor-pointer text-sm">Leave out something else instead</summary>
          <div class="flex flex-wrap gap-1.5 mt-2">
            <UButton
              v-for="l in others"
              :key="l.id"
              size="xs"
              color="neutral"
              variant="outline"
              :aria-label="`Leave out ${l.number} ${l.title}`"
              @click="
                () => {
                  set('leave out', l.id, true)
                  set('keep', l.id, false)
                }
              "
              >{{ l.number || l.title }}</UButton
            >
          </div>
        </details>
        <p class="said mt-3">
          {{ COST_OF_CUTS }}. Core lessons and fixed ones are never left out. Among equal costs, later lessons
          are cut first.
        </p>
        <div class="flex gap-2 mt-3">
          <UButton :loading="busy" :disabled="got.cuts.length === 0" data-hook="apply-fit" @click="apply"
            >Make these cuts in {{ column.of.name }}</UButton
          ><UButton color="neutral" variant="ghost" to="/pace">Leave it as it is</UButton>
        </div>
      </section>
    </template>
  </div>
</template>

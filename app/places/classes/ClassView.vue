<script setup lang="ts">
import { navigateTo, useHead, useRoute } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import type { PatternRow } from '#core/calendar'
import { ShowClass } from '#shared/contracts/teaching'
import type { ClassPage } from '#shared/contracts/teaching'
import { RippleHere, useAwayFromDesk, useDesk } from '~/places/pace'
import { carriedName } from '~/shared/fields/carriedFile'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayPattern } from '~/shared/words/pattern'
import { sayRefusal } from '~/shared/words/refusals'
import { sayDay } from '~/shared/words/times'
import JoiningCode from './components/JoiningCode.vue'
import PatternRows from './components/PatternRows.vue'
import RosterImport from './components/RosterImport.vue'
import RosterTable from './components/RosterTable.vue'
import { useTakingAway } from './composables/takingAway'

const classId = useRoute().params.classId as ClassId
const page = shallowRef<ClassPage | null>(null)
const problem = ref('')
const pattern = ref<readonly PatternRow[]>([])
const editing = ref(false)
const adding = ref(false)
const tell = useTell()
const away = useAwayFromDesk()
const desk = useDesk()
useHead({ title: computed(() => page.value?.name ?? 'Class') })
async function load(): Promise<void> {
  const reply = await call(ShowClass, { params: { classId } })
  if (reply.ok) {
    page.value = reply.value
    if (!editing.value) pattern.value = reply.value.pattern
    adding.value ||= reply.value.learners.length === 0 || carriedName('roster') !== null
  } else problem.value = sayRefusal(reply.error)
}
onMounted(load)
// an undo from the bar reaches this page too
watch(
  () => [desk.classes.find((c) => c.id === classId)?.version, desk.steps],
  () => load(),
)
/** Who came by a table can be taken back in the bar. */
async function added(): Promise<void> {
  adding.value = false
  await Promise.all([load(), desk.load(true)])
}
async function savePattern(): Promise<void> {
  if (!page.value) return
  const reply = await away.propose(
    { kind: 'pattern', classId, from: page.value.pattern, to: pattern.value },
    page.value.year.id,
    'Other meeting times',
  )
  if (!reply.ok) return tell.refused(reply.error)
  if (reply.value === 'made') await meetsAnew()
}
const { takeAway, bringBack } = useTakingAway()
async function remove(): Promise<void> {
  if (!page.value) return
  const { name } = page.value
  if (await takeAway({ kind: 'class', id: classId }, name)) await navigateTo('/classes')
}
async function back(): Promise<void> {
  if (!page.value) return
  await bringBack({ kind: 'class', id: classId, title: page.value.name })
  await load()
}
async function meetsAnew(): Promise<void> {
  editing.value = false
  tell.done('Its meeting times are changed')
  await load()
}
const lostBy = computed(() => {
  const map = new Map<string, string[]>()
  for (const l of page.value?.lost ?? []) map.set(l.because, [...(map.get(l.because) ?? []), sayDay(l.on)])
  return [...map]
})
</script>

<template>
  <div v-if="page" class="p-5 grid grid-cols-[minmax(0,1fr)] gap-6">
    <header class="flex gap-4 items-start flex-wrap">
      <div class="flex-1">
        <p class="said">
          <NuxtLink class="plain" to="/classes">Classes</NuxtLink> · {{ page.course }} ·
          {{ page.teachers.join(', ') }}
        </p>
        <h1>{{ page.name }}</h1>
        <p class="said">
          {{ sayPattern(page.pattern) }} · {{ count(page.meetings, 'meeting') }} this year · plan:
          <template v-if="page.planTitle">{{ page.planTitle }}</template><NuxtLink
            v-else
            class="plain"
            to="/classes/plans"
            >none laid out yet</NuxtLink
          >
        </p>
      </div>
      <UButton
        color="neutral"
        variant="outline"
        :to="{ path: '/classes/trails', query: { class: page.id } }"
        data-hook="to-trails"
        >Trails</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :to="{ path: '/classes/filing', query: { class: page.id } }"
        data-hook="to-filing"
        >Headings and grades</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :to="{ path: '/classes/practice', query: { class: page.id } }"
        data-hook="to-practice"
        >Practice</UButton
      >
      <UButton
        color="neutral"
        variant="outline"
        :to="{ path: '/pace/series', query: { class: page.id } }"
        data-hook="to-series"
        >Series</UButton
      >
      <JoiningCode :page="page" @changed="load" />
    </header>
    <p v-if="page.isArchived" class="note-line care">
      This class is in the archive.
      <UButton v-if="page.mayArchive" size="xs" variant="outline" @click="back">Bring it back</UButton>
    </p>
    <section aria-labelledby="roster">
      <h2 id="roster" class="mb-2">
        Learners <span class="said font-normal">{{ page.learners.length }}</span>
      </h2>
      <RosterTable :page="page" @changed="load" />
    </section>
    <section v-if="page.mayRun">
      <UButton
        v-if="!adding"
        variant="outline"
        icon="i-lucide-user-plus"
        data-hook="open-import"
        @click="
          () => {
            adding = true
          }
        "
        >Add learners</UButton
      ><template v-else
        ><h2 class="mb-2">Add learners</h2>
        <RosterImport :class-id="classId" @added="added"
      /></template>
    </section>
    <section class="grid gap-2">
      <h2>Meetings</h2>
      <table class="grid-table !w-auto">
        <thead>
          <tr>
            <th scope="col">Term</th>
            <th scope="col">Meetings</th>
            <th scope="col">Lost</th>
            <th scope="col">Shortened</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="t in page.terms" :key="t.name">
            <th scope="row">{{ t.name }}</th>
            <td>{{ t.meetings }}</td>
            <td>{{ t.lost }}</td>
            <td>{{ t.shortened }}</td>
          </tr>
        </tbody>
      </table>
      <details v-if="lostBy.length">
        <summary class="cursor-pointer text-sm">Lost, and why</summary>
        <ul class="text-sm mt-1">
          <li v-for="[why, days] in lostBy" :key="why">{{ why }}: {{ days.join(', ') }}</li>
        </ul>
      </details>
      <div v-if="page.mayRun">
        <UButton
          v-if="!editing"
          color="neutral"
          variant="outline"
          data-hook="edit-pattern"
          @click="
            () => {
              editing = true
            }
          "
          >Change when it meets</UButton
        >
        <form v-else class="grid gap-3" @submit.prevent="savePattern">
          <PatternRows v-model="pattern" :year="page.year" />
          <div class="flex gap-2">
            <UButton type="submit" data-hook="save-pattern">Lay the class out anew</UButton
            ><UButton
              color="neutral"
              variant="ghost"
              @click="
                () => {
                  editing = false
                  pattern = page!.pattern
                }
              "
              >Leave it</UButton
            >
          </div>
        </form>
      </div>
    </section>
    <section v-if="page.mayArchive" class="border-t border-default pt-4">
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-archive"
        data-hook="remove-class"
        @click="remove"
        >Remove this class</UButton
      >
    </section>
    <RippleHere @made="meetsAnew" />
  </div>
  <p v-else-if="problem" class="note-line needs m-5" role="alert">{{ problem }}</p>
  <p v-else class="said p-5">Opening …</p>
</template>

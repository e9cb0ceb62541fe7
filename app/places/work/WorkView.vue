<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { computed, onMounted, ref, watch } from 'vue'
import type { AssignmentId, ClassId } from '#core/base'
import type { WorkRow } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useMe } from '~/shared/session/me'
import { useServerNow } from '~/shared/session/serverNow'
import { zoneNamed } from '~/shared/words/times'
import BegunList from './components/list/BegunList.vue'
import ChosenBar from './components/list/ChosenBar.vue'
import WorkFilters from './components/list/WorkFilters.vue'
import WorkRows from './components/list/WorkRows.vue'
import { useWorkList } from './composables/workList'
import { byClass, byLesson, byNeed, chosenWith, filtered, scaleOfList } from './listing'

useHead({ title: 'Work' })
const desk = useDesk()
const now = useServerNow()
const me = useMe()
const { rows, problem, busy, load, act, publish, filter, by } = useWorkList()
onMounted(() => Promise.all([load(), desk.load()]))
// whatever is taken back or done again may change the list
watch(
  () => desk.steps,
  () => void load(),
)
const zone = computed(() => zoneNamed(desk.zone))
const scale = computed(() => scaleOfList(now.value, zone.value))
const shown = computed(() => filtered(rows.value ?? [], filter.value, zone.value))
const sections = computed(() => {
  if (by.value === 'class') return byClass(shown.value, desk.classes)
  const lessons = desk.plans.flatMap((p) => p.lessons)
  return by.value === 'lesson' ? byLesson(shown.value, lessons) : byNeed(shown.value)
})

const chosen = ref<ReadonlySet<string>>(new Set())
const chosenRows = computed(() => shown.value.filter((r) => chosen.value.has(r.id)))
const order = computed(() => sections.value.flatMap((s) => s.rows.map((r) => r.id as string)))
let last: string | null = null
function choose(id: AssignmentId, isOn: boolean, event: MouseEvent | null): void {
  const through = event?.shiftKey ? last : null
  chosen.value = chosenWith(chosen.value, order.value, { id, isOn, through })
  last = id
}
function chooseAll(of: readonly WorkRow[]): void {
  const all = of.every((r) => chosen.value.has(r.id))
  const next = new Set(chosen.value)
  for (const { id } of of)
    if (all) next.delete(id)
    else next.add(id)
  chosen.value = next
}
async function done(acting: Promise<boolean>): Promise<void> {
  if (await acting) chosen.value = new Set()
}
const copy = (row: WorkRow, classId: ClassId) =>
  navigateTo({ path: '/work/new', query: { from: row.id, class: classId } })
</script>

<template>
  <div class="page">
    <header class="flex flex-wrap items-center gap-3">
      <h1 class="flex-1">Work</h1>
      <UButton
        v-if="me.me?.demo"
        to="/outbox"
        color="neutral"
        variant="ghost"
        icon="i-lucide-mail"
        data-hook="outbox"
        >What was mailed</UButton
      >
      <UButton to="/pace/series" color="neutral" variant="ghost" data-hook="to-series">Series</UButton>
      <UButton to="/shelf" icon="i-lucide-plus" variant="outline">Assign from the shelf</UButton>
    </header>
    <BegunList :zone="desk.zone" />
    <p v-if="problem" class="note-line needs mt-3" role="alert">{{ problem }}</p>
    <p v-else-if="rows && rows.length === 0" class="mt-4">
      No work yet. Choose a lesson on the <NuxtLink class="plain" to="/pace">desk</NuxtLink> or a piece on the
      <NuxtLink class="plain" to="/shelf">shelf</NuxtLink>, and press Assign.
    </p>
    <p v-else-if="!rows" class="said mt-4">Opening …</p>
    <template v-else>
      <WorkFilters v-model="filter" v-model:by="by" :classes="desk.classes" :today="zone.local(now).on" />
      <p v-if="shown.length === 0" class="mt-4" data-hook="none-found">
        No work is like that. Take a word or a day out of the filter.
      </p>
      <section v-for="s in sections" :key="s.key" class="need" :data-hook="`need-${s.key}`">
        <h2>
          {{ s.title }} <span class="said font-normal">{{ s.about }}</span>
          <UButton
            size="xs"
            color="neutral"
            variant="link"
            class="float-right"
            :aria-label="`Choose all of ${s.title}`"
            data-hook="choose-all"
            @click="chooseAll(s.rows)"
            >Choose all</UButton
          >
        </h2>
        <WorkRows
          :rows="s.rows"
          :chosen="chosen"
          :zone="desk.zone"
          :scale="scale"
          :now="now"
          @publish="publish"
          @choose="choose"
        />
      </section>
      <ChosenBar
        v-if="chosenRows.length"
        :rows="chosenRows"
        :classes="desk.classes.filter((c) => c.mayChange)"
        :busy="busy"
        @publish="done(act($event, { kind: 'publish' }))"
        @withdraw="done(act($event, { kind: 'withdraw' }))"
        @throw-away="done(act($event, { kind: 'withdraw' }))"
        @shift="(of, meetings) => done(act(of, { kind: 'shift', meetings }))"
        @copy="copy"
        @none="chosen = new Set()"
      />
    </template>
  </div>
</template>

<style scoped>
.page {
  padding: 1rem 1.25rem 3rem;
  max-width: 84rem;
}
.need {
  margin-top: 1.4rem;
}
.need h2 {
  border-bottom: 2px solid var(--line);
  padding-bottom: 0.3rem;
}
</style>

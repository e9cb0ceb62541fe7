<script setup lang="ts">
import { useHead } from '#imports'
import { useElementSize, useEventListener, useScroll } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { mondayOf } from '#core/base'
import type { ClassId, LessonId } from '#core/base'
import { atDay } from './desk/selection'
import { addOnGround, agreeOn } from './desk/moves'
import type { Drop, Selection } from './desk/selection'
import ShortcutSheet from './components/ShortcutSheet.vue'
import { useAssigning } from './composables/assigning'
import { useDeskActs } from './composables/deskActs'
import { useDeskKeys } from './composables/deskKeys'
import { useDeskShown } from './composables/deskShown'
import { useDetails } from './composables/details'
import { useRecording } from './composables/recording'
import { useUncovered } from './composables/uncovered'
import { belongsToFocus } from './composables/rippleKeys'
import { useAddress } from '~/shared/frame/address'
import { useDialogs } from '~/shared/frame/dialogs'
import { useServerNow } from '~/shared/session/serverNow'
import { useDesk } from './stores/desk'
import type { DeskColumn } from './stores/deskColumn'
import { useRipple } from './stores/ripple'
import { useShelf } from '~/places/shelf'
import { sayRefusal } from '~/shared/words/refusals'
import DeskGrid from './components/DeskGrid.vue'
import DeskHead from './components/DeskHead.vue'
import ChosenLine from './components/ChosenLine.vue'
import DeskDetails from './components/DeskDetails.vue'
import DeskInspector from './components/DeskInspector.vue'
import DeskOne from './components/DeskOne.vue'
import DeskTray from './components/DeskTray.vue'
import FirstSteps from '~/shared/frame/FirstSteps.vue'
import RipplePanel from './components/RipplePanel.vue'
import YearStrip from './components/YearStrip.vue'

useHead({ title: 'Pace' })
const desk = useDesk()
const shelf = useShelf()
const address = useAddress()
const openDialog = useDialogs()
const now = useServerNow(60_000)
const selection = ref<Selection | null>(null)
const ripple = useRipple()
const acts = useDeskActs(selection)
const recording = useRecording(acts, now)
const details = useDetails()
const { assign, assignLesson } = useAssigning()
const pane = ref<HTMLElement | null>(null)
const { y } = useScroll(pane)
const { height } = useElementSize(pane)

const oneId = computed(() => address.id<ClassId>('class'))
const { today, todayRatio, weeks, one, columns, drawn, nextMeetingOn } = useDeskShown(now, oneId)
const chosen = computed(() => (selection.value ? (acts.columnOf(selection.value.classId) ?? null) : null))
const scrollHeight = ref(1)
watch([y, height, weeks, one], () => {
  scrollHeight.value = pane.value?.scrollHeight || 1
})

// asked for while the page is still being put together
const arrived = desk.load()
onMounted(async () => {
  await arrived
  void shelf.load()
  const wanted = desk.columns.find((c) => c.of.id === address.text('of'))
  const lesson = address.id<LessonId>('lesson')
  if (wanted && lesson && wanted.lessons.has(lesson))
    selection.value = { kind: 'lesson', classId: wanted.of.id, lessonId: lesson }
  else if (columns.value[0] && today.value) selection.value = atDay(columns.value[0], today.value)
  await nextTick()
  toToday()
})

function toWeek(monday: string, behavior: 'smooth' | 'auto' = 'auto'): void {
  const row = document.getElementById(`week-${monday}`)
  if (row && pane.value) pane.value.scrollTo({ top: row.offsetTop - 140, behavior })
}
function announce(): void {
  if (nextMeetingOn.value) void acts.announce(nextMeetingOn.value)
}
async function agree(): Promise<void> {
  const command = agreeOn(columns.value, now.value)
  if (command) await acts.act(command, 'This is the baseline now; drift counts from here')
}
async function applyRipple(): Promise<void> {
  await acts.apply()
  await choose(selection.value, true)
}
function toToday(): void {
  if (today.value) toWeek(mondayOf(today.value))
}
async function show(classId: ClassId | null): Promise<void> {
  const first = desk.columns.find((c) => c.of.id === classId)
  if (first && today.value && selection.value?.classId !== classId)
    selection.value = atDay(first, today.value)
  await address.set({ class: classId })
  await nextTick()
  toToday()
}
async function choose(at: Selection | null, focus = false): Promise<void> {
  if (!at) return
  selection.value = at
  if (!focus) return details.tell()
  await nextTick()
  const target = pane.value?.querySelector<HTMLElement>('button.selected')
  target?.focus({ preventScroll: true })
  target?.scrollIntoView({ block: 'nearest' })
}

useUncovered(pane)

function openSheet(): void {
  void openDialog(ShortcutSheet, {})
}
async function loseChosen(): Promise<void> {
  const at = selection.value
  const column = chosen.value
  if (!at || !column) return
  const extent = at.kind === 'lesson' ? column.extents.get(at.lessonId) : undefined
  const meeting = extent ? column.calendar.meetings[extent.first] : undefined
  const wanted = at.kind === 'meeting' ? at : meeting
  if (wanted) await acts.lose(at.classId, wanted)
  await choose(selection.value, true)
}
const keys = useDeskKeys({
  selection,
  columns,
  today,
  acts,
  recording,
  choose,
  loseChosen,
  assignChosen: () => assignLesson(selection.value, chosen.value),
  toggleOne: () => void show(one.value ? null : (selection.value?.classId ?? null)),
  openSheet,
  toDetails: () => void details.enter(),
})
/** Keys of the ripple hold wherever the focus is, except in fields. */
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (ripple.isOpen && !belongsToFocus(event) && !event.defaultPrevented) keys(event)
})
async function addLesson(column: DeskColumn, meeting: number, title: string): Promise<void> {
  const command = addOnGround(column, meeting, title, crypto.randomUUID())
  if (command) await acts.propose(command, `${title} added`)
}
async function dropped(drop: Drop): Promise<void> {
  if ('lessonId' in drop) return recording.drop(drop.classId, drop.lessonId, drop.onto)
  if ('before' in drop.onto) await assign(drop.pieceId, drop.onto.before, drop.classId)
}
async function pulled(column: DeskColumn, lessonId: LessonId, halves: number): Promise<void> {
  selection.value = { kind: 'lesson', classId: column.of.id, lessonId }
  await acts.lengthen(halves)
}
function backToDesk(): void {
  pane.value?.querySelector<HTMLElement>('button.selected')?.focus()
}
</script>

<template>
  <div class="pace">
    <DeskHead
      :one="one"
      :columns="columns"
      :today="today"
      :shows-details="details.isOpen.value"
      @show="show"
      @today="toToday"
      @announce="announce"
      @agree="agree"
      @sheet="openSheet"
      @details="details.toggle"
    />
    <p v-if="desk.problem" class="note-line needs m-4" role="alert">
      {{ sayRefusal(desk.problem) }}
      <UButton size="xs" variant="link" @click="desk.load(true)">Try again</UButton>
    </p>
    <FirstSteps v-else-if="desk.loaded && !desk.columns.some((c) => c.plan)" />
    <div v-else-if="desk.loaded" class="split" :class="{ rippled: ripple.isOpen }">
      <YearStrip
        :weeks="weeks"
        :column="chosen ?? columns[0] ?? null"
        :top="y / scrollHeight"
        :shown="Math.min(1, height / scrollHeight)"
        @go="pane?.scrollTo({ top: $event * scrollHeight })"
      />
      <div id="desk-scroll" ref="pane" class="pane" @keydown="keys">
        <DeskOne
          v-if="one && drawn[0]"
          :column="drawn[0]"
          :before="one"
          :weeks="weeks"
          :now="now"
          :selection="selection"
          @select="choose($event)"
          v-on="{ drop: dropped, stretch: pulled }"
        />
        <DeskGrid
          v-else
          :columns="drawn"
          :before="ripple.isOpen ? columns : null"
          :weeks="weeks"
          :now="now"
          :today="today"
          :today-ratio="todayRatio"
          :selection="selection"
          @select="choose($event)"
          @open="show($event.of.id)"
          v-on="{ drop: dropped, stretch: pulled }"
        />
      </div>
      <DeskDetails
        v-model:open="details.isOpen.value"
        :is-phone="details.isPhone.value"
        :is-covered="ripple.isOpen"
        @back="backToDesk"
      >
        <DeskInspector
          v-bind="{ selection, now, acts, recording }"
          :column="chosen"
          @choose="choose($event, true)"
          @add="addLesson"
          @announce="acts.announce"
        />
      </DeskDetails>
    </div>
    <p v-else class="said p-6">Opening the desk …</p>
    <ChosenLine v-if="!details.isOpen.value" :selection="selection" :column="chosen" />
    <DeskTray />
    <RipplePanel v-if="ripple.isOpen" @apply="applyRipple" />
  </div>
</template>

<style scoped>
.pace {
  position: relative;
  display: flex;
  flex-direction: column;
  height: 100%;
}
.split {
  flex: 1;
  min-height: 0;
  display: flex;
}
.pane {
  flex: 1;
  min-width: 0;
  overflow: auto;
  position: relative;
}
/* the ripple lies over the lower part, 56 % at most */
.rippled .strip {
  max-height: 44%;
}
.rippled .pane {
  scroll-padding-bottom: 52dvh;
}
</style>

<script setup lang="ts">
import { useHead } from '#imports'
import { useIntervalFn } from '@vueuse/core'
import { computed, onMounted, shallowRef, watch } from 'vue'
import { pieceName } from '#core/attempts'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import { bandOf } from '#core/evidence'
import { foldedName } from '#core/filing'
import { ShowGrid } from '#shared/contracts/evidence'
import type { ClassGrid, GridColumn } from '#shared/contracts/evidence'
import type { Refusal } from '#shared/contracts/refusal'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayTime } from '~/shared/words/times'
import ChosenCells from './components/ChosenCells.vue'
import ItemsPanel from './components/ItemsPanel.vue'
import WorkGrid from './components/WorkGrid.vue'
import { waitingIn } from './scoringLink'
import { whoNeedsAgain } from './whoNeedsAgain'
import { useChoosing } from './composables/choosing'
import { useDesk } from '~/places/pace'

useHead({ title: 'Evidence' })
const overview = useOverview()
const address = useAddress()
const grid = shallowRef<ClassGrid | null>(null)
const { chosen, choose: chooseCell, letGo } = useChoosing()
const problem = shallowRef<Refusal | null>(null)
const classes = computed(() => overview.overview?.classes ?? [])
const work = computed(() => address.id<AssignmentId>('work'))
const piece = computed(() => address.id<PieceId>('piece'))
const classId = computed(
  () =>
    (address.text('class') ??
      classes.value.find((c) => c.mine)?.id ??
      classes.value[0]?.id ??
      null) as ClassId | null,
)

async function load(): Promise<void> {
  const id = classId.value
  if (!id) return
  const reply = await call(ShowGrid, { params: { classId: id } })
  if (id !== classId.value) return
  problem.value = reply.ok ? null : reply.error
  if (reply.ok) grid.value = reply.value
}
onMounted(() => overview.load())
watch(
  classId,
  () => {
    letGo()
    grid.value = null
    void load()
  },
  { immediate: true },
)
// follows a class at work
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void load()
}, 15_000)
const show = (query: Record<string, string | undefined>) => void address.put(query)
const desk = useDesk()
onMounted(() => desk.load())
// undo takes back what was given here
watch(
  () => desk.steps,
  () => void load(),
)
/** The column of the chosen cells, as the grid has it now. */
const chosenColumn = computed(() => {
  const name = chosen.value && pieceName(chosen.value.piece)
  return grid.value?.columns.find((c) => pieceName(c) === name) ?? null
})
/** The piece whose items are shown: the one that is named, else the work's first with items. */
const shownPiece = computed(() => {
  const own = grid.value?.columns.filter((c) => c.assignmentId === work.value) ?? []
  return piece.value ?? (own.find((c) => !c.isRead) ?? own[0])?.pieceId ?? null
})
/** Pressing a column opens its items, pressing it again closes them. */
function choose({ assignmentId, pieceId }: GridColumn): void {
  letGo()
  const isOpen = assignmentId === work.value && shownPiece.value === pieceId
  show(isOpen ? { work: undefined, piece: undefined } : { work: assignmentId, piece: pieceId })
}
/** Work opened from the list may not reach the first class: go to one it reaches. */
watch([grid, work], () => {
  const g = grid.value
  if (g && work.value && !address.text('class') && !g.columns.some((c) => c.assignmentId === work.value))
    void seek()
})
async function seek(): Promise<void> {
  for (const c of classes.value.filter((c) => c.id !== classId.value)) {
    const reply = await call(ShowGrid, { params: { classId: c.id } })
    if (reply.ok && reply.value.columns.some((x) => x.assignmentId === work.value))
      return show({ class: c.id })
  }
}
/** What each learner has of the piece that is looked at. */
const looked = computed(() =>
  (grid.value?.cells ?? []).filter((c) => c.assignmentId === work.value && c.pieceId === shownPiece.value),
)
const waiting = computed(() => waitingIn(looked.value))
/** Whose score for it is low. */
const below = computed(() =>
  looked.value.filter((c) => c.ratio !== null && bandOf(c.ratio) === 'low').map((c) => c.learnerId),
)
const needing = computed(() => whoNeedsAgain(looked.value, grid.value?.learners ?? []))
/** Categories that the class lists, and others that its work is under. */
const categories = computed(() => {
  const listed = (grid.value?.categories ?? []).map((c) => c.name)
  const used = (grid.value?.columns ?? []).map((c) => c.category.trim()).filter((c) => c !== '')
  const known = new Set(listed.map(foldedName))
  return [...listed, ...new Set(used.filter((c) => !known.has(foldedName(c))))]
})
const category = computed(() => address.text('category') ?? 'all')
const CATEGORY_ITEMS = computed(() => [
  { value: 'all', label: 'All' },
  ...categories.value.map((c) => ({ value: c, label: c })),
])
/** The grid as it is looked at: all of it, or the columns of one category. */
const inView = computed(() =>
  grid.value && category.value !== 'all'
    ? {
        ...grid.value,
        columns: grid.value.columns.filter((c) => foldedName(c.category) === foldedName(category.value)),
      }
    : grid.value,
)
const missing = computed(() => grid.value?.cells.filter((c) => c.state === 'missing').length ?? 0)
</script>

<template>
  <div class="evidence-page">
    <header class="head">
      <h1>Evidence</h1>
      <ChoiceButtons
        label="Class"
        :items="classes.map((c) => ({ value: c.id, label: c.name }))"
        :model-value="classId"
        @update:model-value="show({ class: $event ?? undefined })"
      />
      <div v-if="classId" class="flex gap-1">
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-list-checks"
          :to="{ path: '/evidence/standards', query: { class: classId } }"
          data-hook="by-standard"
          >By standard</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-corner-down-right"
          :to="{ path: '/evidence/follow-up', query: { class: classId } }"
          data-hook="to-follow-up"
          >Follow-up</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-users"
          :to="{ path: '/evidence/split', query: { class: classId } }"
          data-hook="to-split"
          >Split into groups</UButton
        >
      </div>
      <ChoiceButtons
        v-if="categories.length > 1"
        label="Category"
        :items="CATEGORY_ITEMS"
        :model-value="category"
        @update:model-value="show({ category: $event === 'all' ? undefined : ($event ?? undefined) })"
      />
      <div class="flex-1" />
      <p v-if="grid" class="said">
        {{ count(grid.learners.length, 'learner') }} · {{ count(missing, 'piece') }} missing · as of
        {{ sayTime(grid.now, grid.zone) }}
      </p>
    </header>
    <p v-if="problem" class="note-line needs m-4" role="alert">{{ sayRefusal(problem) }}</p>
    <p v-else-if="overview.overview && classes.length === 0" class="p-5">
      No class yet. <NuxtLink class="plain" to="/classes">Make a class</NuxtLink> first.
    </p>
    <p v-else-if="grid && grid.columns.length === 0" class="p-5">
      Nothing is published to this class yet. <NuxtLink class="plain" to="/work">Go to Work</NuxtLink>.
    </p>
    <div v-else-if="grid" class="split" :class="{ two: work || chosen }">
      <WorkGrid
        :grid="inView ?? grid"
        :chosen="{ work, piece: shownPiece }"
        :cells="chosen"
        @choose="choose"
        @cell="chooseCell"
      />
      <ChosenCells
        v-if="chosen && chosenColumn"
        :grid="grid"
        :column="chosenColumn"
        :learner-ids="chosen.learnerIds"
        @close="letGo"
        @done="load"
      />
      <ItemsPanel
        v-else-if="work"
        :assignment-id="work"
        :piece-id="piece"
        :class-id="classId"
        :below="below"
        :waiting="waiting"
        :needing="needing"
        :as-of="grid.now"
        @done="load"
        @close="show({ work: undefined, piece: undefined })"
      />
    </div>
    <p v-else class="said p-5">Opening …</p>
  </div>
</template>

<style scoped src="./evidencePage.css"></style>

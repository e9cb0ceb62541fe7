<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { AssignmentId, ClassId, Instant, PieceId, UserId } from '#core/base'
import { isScoredByHand } from '#core/library'
import { ShowItems } from '#shared/contracts/evidence'
import type { PieceFigures } from '#shared/contracts/evidence'
import type { Refusal } from '#shared/contracts/refusal'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayPieceIn } from '../cellWords'
import { useMending } from '../composables/mending'
import { usePointed } from '../composables/pointed'
import { sayToScore, scoringQueue } from '../scoringLink'
import type { Needing } from '../whoNeedsAgain'
import EvidencePanel from './EvidencePanel.vue'
import FilesHandedIn from './FilesHandedIn.vue'
import GiveToBelow from './GiveToBelow.vue'
import ItemFigure from './ItemFigure.vue'
import ReopenForNeeding from './ReopenForNeeding.vue'

const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId | null
  classId: ClassId | null
  /** Whose score that counts is below 60 %. */
  below: readonly UserId[]
  /** Answers that a person has yet to score, and scores that are not released. */
  waiting: { readonly toScore: number; readonly toRelease: number }
  /** For whom it might be opened again. */
  needing: readonly Needing[]
  /** When the grid was last asked for. */
  asOf: Instant
}>()
const emit = defineEmits<{ close: []; done: [] }>()
const figures = shallowRef<PieceFigures | null>(null)
const problem = shallowRef<Refusal | null>(null)
async function load(): Promise<void> {
  const reply = await call(ShowItems, {
    params: { assignmentId: props.assignmentId },
    query: {
      ...(props.classId ? { classId: props.classId } : {}),
      ...(props.pieceId ? { pieceId: props.pieceId } : {}),
    },
  })
  figures.value = reply.ok ? reply.value : null
  problem.value = reply.ok ? null : reply.error
}
// follows what comes in, as the grid does
watch(() => [props.assignmentId, props.pieceId, props.classId, props.asOf], load, { immediate: true })
const pointed = usePointed(() => figures.value?.resourceId ?? null)
/** All of it is there: what comes later would move what is below under the pointer. */
const isWhole = computed(() => props.below.length === 0 || pointed.value !== null)
/** What a person scores has been handed in. */
const isByHand = computed(() => figures.value?.items.some(isScoredByHand) ?? false)
const toQueue = computed(() => {
  const { assignmentId, classId } = props
  if (!isByHand.value || !figures.value || !classId) return null
  return scoringQueue({ assignmentId, classId, pieceId: figures.value.pieceId })
})
/** Where its questions are shown to the class, if there are any that have a spread. */
const toDiscussion = computed(() => {
  const { assignmentId, classId } = props
  if (!classId || !figures.value?.items.some((item) => !isScoredByHand(item))) return null
  return {
    path: '/evidence/discuss',
    query: { class: classId, work: assignmentId, piece: figures.value.pieceId },
  }
})
const toScore = computed(() => sayToScore(props.waiting))
const hasItems = computed(() => (figures.value?.items.length ?? 1) > 0)
const about = computed(() => {
  const of = figures.value?.className ?? 'All classes'
  const tries = figures.value?.tries ?? 0
  return hasItems.value && tries > 0 ? `${of} · ${count(tries, 'learner')} · hardest first` : of
})
const title = computed(() => (figures.value ? sayPieceIn(figures.value) : 'Items'))
/** Questions that count, hardest first; behind them those that were left out for everybody. */
const rows = computed(() => {
  const of = figures.value
  const figuresOf = new Map(of?.figures.map((f, at) => [f.itemId, { f, at }]))
  return (of?.items ?? [])
    .map((item, i) => ({
      item,
      number: i + 1,
      f: figuresOf.get(item.id)?.f ?? null,
      at: figuresOf.get(item.id)?.at ?? Infinity,
      correction: of?.corrections.find((c) => c.itemId === item.id) ?? null,
    }))
    .sort((a, b) => a.at - b.at || a.number - b.number)
})
const { mend } = useMending(
  () => figures.value,
  () => emit('done'),
)
</script>

<template>
  <EvidencePanel
    :label="hasItems ? 'Items, hardest first' : 'Files'"
    :title="title"
    :about="about"
    close-label="Close the items"
    data-hook="items"
    @close="emit('close')"
  >
    <p v-if="problem" class="note-line needs" role="alert">{{ sayRefusal(problem) }}</p>
    <p v-else-if="figures && hasItems && figures.tries === 0" class="said mt-3">Nobody has handed in yet.</p>
    <p v-else-if="rows[0]?.f?.few && rows[0].f.n > 0" class="note-line care mt-2">
      Only {{ count(rows[0].f.n, 'learner') }}: a share of so few says little.
    </p>
    <GiveToBelow
      v-if="below.length && classId && pointed && figures"
      :pointed="pointed"
      :class-id="classId"
      :piece="figures"
      :below="below"
    />
    <ReopenForNeeding
      v-if="needing.length && figures && isWhole"
      :assignment-id="assignmentId"
      :piece-id="figures.pieceId"
      :title="title"
      :needing="needing"
      :now="asOf"
      @done="emit('done')"
    />
    <FilesHandedIn v-if="isWhole && figures?.files.length" :files="figures.files" />
    <p v-else-if="isWhole && !hasItems" class="said mt-3">Nobody has handed in a file yet.</p>
    <UButton
      v-if="toQueue && isWhole"
      class="mt-3"
      icon="i-lucide-pen-line"
      :variant="toScore ? 'solid' : 'outline'"
      :to="toQueue"
      data-hook="to-queue"
      >{{ toScore || (figures?.tries ? 'Look at the texts again' : 'Add texts written on paper') }}</UButton
    >
    <UButton
      v-if="toDiscussion && isWhole"
      class="mt-3"
      color="neutral"
      variant="outline"
      icon="i-lucide-presentation"
      :to="toDiscussion"
      data-hook="to-discussion"
      >Discuss with the class</UButton
    >
    <ol v-if="figures && isWhole && hasItems">
      <ItemFigure
        v-for="r in rows"
        :key="r.item.id"
        :item="r.item"
        :number="r.number"
        :figures="r.f"
        :correction="r.correction"
        :may-mend="figures.mayMend"
        @mend="mend(r.item.id)"
      />
    </ol>
  </EvidencePanel>
</template>

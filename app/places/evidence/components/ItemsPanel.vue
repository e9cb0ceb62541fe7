<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { AssignmentId, ClassId, Instant, PieceId, UserId } from '#core/base'
import { isScoredByHand, isChosenAmong, optionsOf, rightInWords, rightOptions } from '#core/library'
import { ShowItems } from '#shared/contracts/evidence'
import type { PieceFigures } from '#shared/contracts/evidence'
import type { ItemFigures } from '#core/evidence'
import type { Item } from '#core/library'
import type { Refusal } from '#shared/contracts/refusal'
import { toInlineHtml } from '~/shared/words/markdown'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { sayPieceIn } from '../cellWords'
import { usePointed } from '../composables/pointed'
import { sayToScore, scoringQueue } from '../scoringLink'
import type { Needing } from '../whoNeedsAgain'
import EvidencePanel from './EvidencePanel.vue'
import FilesHandedIn from './FilesHandedIn.vue'
import GiveToBelow from './GiveToBelow.vue'
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
  return hasItems.value ? `${of} · ${count(figures.value?.tries ?? 0, 'learner')} · hardest first` : of
})
const title = computed(() => (figures.value ? sayPieceIn(figures.value) : 'Items'))
/** From here on those who are better elsewhere are worse in it: more than chance would do. */
const TURNED = -0.2
const signed = (n: number) => n.toFixed(2).replace('-', '−')
function sayFigures(f: ItemFigures, item: Item): string {
  const right = isScoredByHand(item) ? 'with all points' : 'right'
  return [
    ...(f.n > 0 ? [`${f.rightCount} of ${f.n} ${right}`] : []),
    ...(f.omittedCount ? [`${f.omittedCount} left it out`] : []),
    ...(f.waitingCount ? [`${f.waitingCount} to score`] : []),
    ...(f.discrimination === null ? [] : [`discrimination ${signed(f.discrimination)}`]),
  ].join(', ')
}
/** Options whose choices are counted; an order chooses none. */
const barsOf = (item: Item) => (isChosenAmong(item) ? optionsOf(item) : [])
const rows = computed(() =>
  (figures.value?.figures ?? []).flatMap((f) => {
    const at = figures.value?.items.findIndex((i) => i.id === f.itemId) ?? -1
    const item = figures.value?.items[at]
    return item ? [{ f, item, number: at + 1, options: barsOf(item), rights: rightOptions(item) }] : []
  }),
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
    <p v-else-if="rows[0]?.f.few && rows[0].f.n > 0" class="note-line care mt-2">
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
    <ol v-if="figures && isWhole && hasItems && figures.tries > 0">
      <li v-for="r in rows" :key="r.item.id">
        <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
        <p class="stem">
          <span class="share" :class="{ low: r.f.n > 0 && r.f.rightRatio < 0.6 }">{{
            r.f.n > 0 ? percent(r.f.rightRatio) : '–'
          }}</span><span
            ><span class="said">{{ r.number }}</span> <span v-html="toInlineHtml(r.item.stem)"
          /></span>
        </p>
        <ul v-if="r.options.length" class="options">
          <li v-for="o in r.options" :key="o.id" :class="{ right: r.rights.includes(o.id) }">
            <span class="bar" aria-hidden="true"
              ><i :style="{ width: `${Math.round((100 * (r.f.options[o.id] ?? 0)) / r.f.n)}%` }" /></span
            ><span class="n">{{ r.f.options[o.id] ?? 0 }}</span
            ><span>{{ o.text }}<template v-if="r.rights.includes(o.id)"> (right)</template></span>
          </li>
        </ul>
        <p v-else-if="rightInWords(r.item)" class="said ml-13">
          {{ isScoredByHand(r.item) ? 'Points for' : 'Right' }}: {{ rightInWords(r.item) }}
        </p>
        <ul v-if="r.f.commonest.length" class="options" data-hook="commonest">
          <li v-for="c in r.f.commonest" :key="c.text" :class="{ right: c.isRight }">
            <span class="bar" aria-hidden="true"
              ><i :style="{ width: `${Math.round((100 * c.count) / r.f.n)}%` }" /></span
            ><span class="n">{{ c.count }}</span
            ><span>{{ c.text }}<template v-if="c.isRight"> (right)</template></span>
          </li>
        </ul>
        <p class="said ml-13">
          {{ sayFigures(r.f, r.item) }}
        </p>
        <p
          v-if="r.f.discrimination !== null && r.f.discrimination <= TURNED"
          class="note-line care ml-13 mt-1"
        >
          Who did better in the rest missed it more often: look at its key and its words.
        </p>
      </li>
    </ol>
  </EvidencePanel>
</template>

<style scoped>
ol > li {
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--ui-border);
}
.stem {
  display: grid;
  grid-template-columns: 3.2rem 1fr;
  font-weight: 600;
  line-height: 1.35;
}
.share {
  font: 650 1.02rem var(--font-display);
  font-variant-numeric: tabular-nums;
}
.share.low {
  color: var(--ui-warning);
}
.options {
  margin: 0.35rem 0 0.2rem 3.2rem;
  font-size: 0.84rem;
  display: grid;
  gap: 0.15rem;
}
.options li {
  display: grid;
  grid-template-columns: 3.4rem 1.5rem 1fr;
  gap: 0.4rem;
  align-items: center;
}
.options .right {
  font-weight: 650;
}
.bar {
  height: 0.5rem;
  background: var(--ui-bg-accented);
  border-radius: 2px;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--color-grit-400);
  border-radius: 2px;
}
.right .bar i {
  background: var(--color-moss-500);
}
.n {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
</style>

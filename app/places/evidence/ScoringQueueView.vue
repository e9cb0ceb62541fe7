<script setup lang="ts">
import { onBeforeRouteLeave, useHead } from '#imports'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { levelsFor } from '#core/attempts'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import { useAddress } from '~/shared/frame/address'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { useTell } from '~/shared/frame/tell'
import { count } from '~/shared/words/numbers'
import AddTexts from './components/AddTexts.vue'
import QueueHead from './components/QueueHead.vue'
import QueueStrip from './components/QueueStrip.vue'
import ScoreSheet from './components/ScoreSheet.vue'
import TextToRead from './components/TextToRead.vue'
import { answerName } from './composables/drafting'
import { useKeptComments } from './composables/keptComments'
import { useScoringQueue } from './composables/scoringQueue'

/** Texts of a class, one after the other: read at the left, scored at the right, released all at once. */
const address = useAddress()
const ask = useDialogs()
const tell = useTell()
const of = {
  assignmentId: address.idNeeded<AssignmentId>('work'),
  pieceId: address.idNeeded<PieceId>('piece'),
  classId: address.idNeeded<ClassId>('class'),
}
const areHidden = computed(() => address.text('names') === 'hidden')
const scoring = useScoringQueue(of, () => areHidden.value)
const { queue, problem, status, answers, at, current, given, counts, own, goTo, goOn, give } = scoring
const { keepComment, forgetComment } = useKeptComments(scoring.knowComments)
onMounted(scoring.load)
useHead({ title: computed(() => `Scoring ${queue.value?.title ?? ''}`) })
const back = { path: '/evidence', query: { work: of.assignmentId, piece: of.pieceId, class: of.classId } }
/** Which criterion the number keys are for. */
const criterion = ref(0)
const text = useTemplateRef<{ scroll: (pages: 1 | -1) => void; focus: () => void }>('text')
const sheet = useTemplateRef<{ focusComment: () => void }>('sheet')
watch(
  () => current.value && answerName(current.value),
  () => {
    criterion.value = Math.max(0, given.value?.levels.indexOf(null) ?? 0)
    // keys are for the text that has come, not for what had the focus beside the one before
    text.value?.focus()
  },
  { flush: 'post' },
)
const nameOf = (i: number) => (areHidden.value ? `Text ${i + 1}` : (answers.value[i]?.name ?? ''))
function hideNames(hidden: boolean): void {
  void address.put({ names: hidden ? 'hidden' : null })
}
/** Gives a level and goes to the next criterion that is open, or stays. */
function level(of: number, points: number): void {
  if (!given.value) return
  const levels = given.value.levels.map((l, i) => (i === of ? points : l))
  give({ levels })
  const open = levels.indexOf(null)
  criterion.value = open < 0 ? of : open
}
function step(by: 1 | -1): void {
  goTo(Math.min(Math.max(at.value + by, 0), answers.value.length - 1))
}
function toCriterion(by: 1 | -1): void {
  const { length } = current.value?.criteria ?? []
  criterion.value = Math.min(Math.max(criterion.value + by, 0), length - 1)
}
async function release(): Promise<void> {
  const { scored, again, left } = counts.value
  const goAgain = again ? ` ${count(again, 'learner')} of them can go on with what they wrote.` : ''
  const stay = left ? ` ${count(left, 'text')} not scored yet stay here.` : ''
  const yes = await ask<boolean>(ConfirmDialog, {
    title: `Release ${count(scored, 'score')}?`,
    text: `Learners see score and comment as the rules of the work say.${goAgain}${stay}`,
    act: 'Release',
  })
  if (!yes) return
  const reply = await scoring.release()
  if (reply === null) return
  if (!reply.ok) return tell.refused(reply.error)
  const { released, returned } = reply.value
  tell.done(`${count(released, 'score')} released${returned ? `, ${returned} for another go` : ''}.`)
}
// scores that nobody sees are easily forgotten
onBeforeRouteLeave(() => {
  const { scored } = counts.value
  if (scored > 0)
    tell.done(`${count(scored, 'score is', 'scores are')} not released: learners do not see them yet.`)
})
async function addTexts(): Promise<void> {
  const added = await ask<number>(AddTexts, { of, learners: queue.value?.without ?? [] })
  if (!added) return
  await scoring.load()
  tell.done(`${count(added, 'text')} added.`)
}
const KEYS: Readonly<Record<string, () => void>> = {
  ArrowRight: () => step(1),
  ArrowLeft: () => step(-1),
  ArrowDown: () => toCriterion(1),
  ArrowUp: () => toCriterion(-1),
  Enter: goOn,
  PageDown: () => text.value?.scroll(1),
  PageUp: () => text.value?.scroll(-1),
  c: () => void nextTick(() => sheet.value?.focusComment()),
  a: () => give({ again: !given.value?.again }),
  h: () => hideNames(!areHidden.value),
}
useEventListener('keydown', (event: KeyboardEvent) => {
  const { target, key } = event
  const isElsewhere =
    !(target instanceof HTMLElement) ||
    target.closest('input, textarea, select, [role="dialog"], [role="menu"], [role="listbox"]') !== null
  const isItsOwn = key === 'Enter' && target instanceof HTMLElement && target.closest('button, a, summary')
  if (isElsewhere || isItsOwn || event.ctrlKey || event.metaKey || event.altKey || !current.value) return
  const looked = current.value.criteria[criterion.value]
  const points = looked && /^\d$/.test(key) ? levelsFor(looked)[Number(key)] : undefined
  const act = points === undefined ? KEYS[key] : () => level(criterion.value, points)
  if (!act) return
  event.preventDefault()
  act()
})
</script>

<template>
  <div class="queue">
    <QueueHead
      :title="queue?.title ?? 'Scoring'"
      :about="queue?.className ?? ''"
      :counts="counts"
      :status="status"
      :names-hidden="areHidden"
      :back="back"
      :may-add="(queue?.without.length ?? 0) > 0"
      @hide="hideNames"
      @release="release"
      @add="addTexts"
    />
    <p v-if="problem" class="note-line needs m-4" role="alert">{{ problem }}</p>
    <p v-else-if="!queue" class="said p-5">Opening …</p>
    <p v-else-if="answers.length === 0" class="p-5">
      Nobody of {{ queue.className }} has handed in a text yet.
      <NuxtLink class="plain" :to="back">Back to the evidence</NuxtLink>
    </p>
    <template v-else-if="current && given">
      <QueueStrip :answers="answers" :at="at" :name-of="nameOf" @go="goTo" />
      <div class="desk">
        <TextToRead
          ref="text"
          :answer="current"
          :answers="answers"
          :name="nameOf(at)"
          :content="queue.content"
        />
        <ScoreSheet
          ref="sheet"
          :answer="current"
          :given="given"
          :mine="own"
          :criterion="criterion"
          :comments="queue.comments"
          @level="level"
          @criterion="
            (i: number) => {
              criterion = i
            }
          "
          @give="give"
          @settle="scoring.settle"
          @keep="keepComment"
          @forget="forgetComment"
          @leave="text?.focus()"
          @next="goOn"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.queue {
  display: flex;
  flex-direction: column;
  height: 100%;
}
.desk {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(21rem, 28rem);
}
@media (max-width: 900px) {
  .queue {
    height: auto;
  }
  .desk {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

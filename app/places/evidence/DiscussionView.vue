<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import '~/shared/theme/teacher.css'
import { useEventListener, useFullscreen, useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import { ShowItems } from '#shared/contracts/evidence'
import type { PieceFigures } from '#shared/contracts/evidence'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useAddress } from '~/shared/frame/address'
import { addTeacherIcons } from '~/shared/frame/teacherIcons'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import TalkItem from './components/TalkItem.vue'
import { MOVE_OF, moved, stepsOf, talksOf } from './discussion'
import type { At, Move, Order } from './discussion'

/** One item at a time in front of the class: first the question, then how the answers spread, then what is right. */
addTeacherIcons()
const address = useAddress()
const of = {
  assignmentId: address.id<AssignmentId>('work'),
  pieceId: address.id<PieceId>('piece'),
  classId: address.id<ClassId>('class'),
}
const back = {
  path: '/evidence',
  query: { work: of.assignmentId, piece: of.pieceId, class: of.classId },
}
const piece = shallowRef<PieceFigures | null>(null)
const problem = ref('')
const order = ref<Order>('hardest')
const at = shallowRef<At>({ item: 0, step: 0 })
/** The order stays as it is while one talks: new answers change figures, not what is shown. */
const talks = computed(() => {
  if (!piece.value) return []
  const list = talksOf(piece.value, order.value)
  const kept = turn.value
  return kept.length === list.length ? kept.flatMap((id) => list.find((t) => t.item.id === id) ?? []) : list
})
const turn = shallowRef<readonly string[]>([])
const talk = computed(() => talks.value[at.value.item] ?? null)
const step = computed(() => (talk.value ? stepsOf(talk.value.item)[at.value.step] : undefined) ?? 'question')
useHead({ title: computed(() => `Discussion: ${piece.value?.title ?? ''}`) })

async function load(): Promise<void> {
  if (!of.assignmentId) return
  const { assignmentId, pieceId, classId } = of
  const reply = await call(ShowItems, {
    params: { assignmentId },
    query: { ...(classId ? { classId } : {}), ...(pieceId ? { pieceId } : {}) },
  })
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (!reply.ok) return
  piece.value = reply.value
  if (turn.value.length === 0) setTurn()
}
function setTurn(): void {
  turn.value = piece.value ? talksOf(piece.value, order.value).map((t) => t.item.id) : []
  at.value = { item: 0, step: 0 }
}
void load()
// while the class is still at it
useIntervalFn(() => {
  if (document.visibilityState === 'visible') void load()
}, 5000)
function go(move: Move): void {
  at.value = moved(at.value, move, talks.value)
}
const leave = () => void navigateTo(back)
const { isFullscreen, isSupported, toggle } = useFullscreen()
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  // a button that has the focus takes the space bar itself
  if (event.key === ' ' && event.target instanceof HTMLButtonElement) return
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'Escape' && !isFullscreen.value) return leave()
  const move = MOVE_OF[event.key]
  if (!move) return
  event.preventDefault()
  go(move)
})
const ORDER_WORDS = [
  { value: 'hardest' as const, label: 'Hardest first' },
  { value: 'own' as const, label: 'As in the piece' },
]
function reorder(next: Order | null): void {
  order.value = next ?? 'hardest'
  setTurn()
}
</script>

<template>
  <div class="stage">
    <header>
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :to="back"
        aria-label="Close the discussion"
        aria-keyshortcuts="Escape"
      />
      <h1>{{ piece?.title ?? 'Discussion' }}</h1>
      <p v-if="piece" class="said">{{ count(piece.tries, 'learner has', 'learners have') }} handed in</p>
      <div class="flex-1" />
      <ChoiceButtons label="Order" :items="ORDER_WORDS" :model-value="order" @update:model-value="reorder" />
      <UButton
        v-if="isSupported"
        size="xs"
        color="neutral"
        variant="outline"
        :aria-pressed="isFullscreen"
        @click="toggle()"
        >Whole screen</UButton
      >
    </header>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <p v-else-if="piece && !talks.length" class="p-6">
      This piece asks nothing that could be talked about in this way: a person scores all of it, or it has no
      questions.
    </p>
    <TalkItem v-else-if="talk" :key="talk.item.id" :talk="talk" :step="step" />
    <p v-else class="said p-6">Opening …</p>
    <footer v-if="talk">
      <UButton
        color="neutral"
        variant="outline"
        icon="i-lucide-arrow-left"
        data-hook="back"
        @click="go('back')"
        >Back</UButton
      >
      <p class="said" data-hook="at">
        {{ at.item + 1 }} of {{ count(talks.length, 'question') }}
        <span class="keys">· space bar or → goes on, ↓ to the next question</span>
      </p>
      <UButton trailing-icon="i-lucide-arrow-right" data-hook="on" @click="go('on')">Go on</UButton>
    </footer>
  </div>
</template>

<style scoped>
.stage {
  display: grid;
  grid-template-rows: auto 1fr auto;
  min-height: 100dvh;
  background: var(--ui-bg);
}
header,
footer {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0.8rem;
  padding: 0.5rem 1rem;
}
header {
  border-bottom: 1px solid var(--ui-border);
}
header h1 {
  font-size: 1.05rem;
}
footer {
  justify-content: space-between;
  border-top: 1px solid var(--ui-border);
  position: sticky;
  bottom: 0;
  background: var(--ui-bg);
}
@media (max-width: 640px) {
  .keys {
    display: none;
  }
}
</style>

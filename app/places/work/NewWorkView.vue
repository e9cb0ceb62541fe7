<script setup lang="ts">
import { useHead } from '#imports'
import { onMounted, ref, shallowRef } from 'vue'
import { asId, isId } from '#core/base'
import type { AssignmentId, ClassId, LessonId, UserId } from '#core/base'
import { MANY_PIECES } from '#core/lastLook'
import type { PieceCard } from '#shared/contracts/library'
import { ShowWork } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { useAddress } from '~/shared/frame/address'
import { useServerNow } from '~/shared/session/serverNow'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import WholeUnit from './components/WholeUnit.vue'
import WorkComposer from './components/WorkComposer.vue'
import type { DraftInWork } from './draft'
import { copyFor, startingDraft } from './starting'
import { usePresets } from './stores/presets'

useHead({ title: 'Assign' })
const address = useAddress()
const desk = useDesk()
const shelf = useShelf()
const presets = usePresets()
const draft = shallowRef<DraftInWork | null>(null)
const asked = shallowRef<readonly PieceCard[] | null>(null)
const problem = ref('')
const lost = ref(false)
const now = useServerNow()

const idsIn = (key: string) => (address.text(key) ?? '').split(',').filter((id) => isId(id))
const learnerIds = idsIn('learners').map((id) => asId<UserId>(id))
const lesson = address.id<LessonId>('lesson')
const classId = address.id<ClassId>('class')
/** Why learners were chosen, as the address may say it. */
const BECAUSE: Readonly<Record<string, string>> = { 'below-60': 'below 60 %' }
const because = BECAUSE[address.text('because') ?? ''] ?? ''
const own = () => desk.classes.filter((c) => c.mayChange)

onMounted(async () => {
  await Promise.all([shelf.load(), desk.load(), presets.load()])
  const from = address.text('from')
  if (from !== null && classId !== null) return copy(from as AssignmentId, classId)
  const cards = idsIn('piece').flatMap((id) => shelf.piece(id) ?? [])
  if (cards.length >= MANY_PIECES) asked.value = cards
  else begin(cards)
})
function begin(cards: readonly PieceCard[], inTurn = false): void {
  asked.value = null
  const started = startingDraft(
    { cards, lesson, classId, learnerIds },
    { classes: own(), planOf: desk.planOf, isOver, presets: presets.presets },
  )
  draft.value = { ...started, inTurn }
}
/** Whether a lesson's last meeting in a class has ended. */
function isOver(lessonId: LessonId, inClass: ClassId): boolean {
  const column = desk.columns.find((c) => c.of.id === inClass)
  const last = column?.extents.get(lessonId)?.last
  const endsAt = last === undefined ? undefined : column?.calendar.meetings[last]?.endsAt
  return endsAt !== undefined && endsAt <= now.value
}
async function copy(assignmentId: AssignmentId, to: ClassId): Promise<void> {
  const reply = await call(ShowWork, { params: { assignmentId } })
  if (!reply.ok) {
    problem.value = sayRefusal(reply.error)
    return
  }
  const plan = desk.planOf(own().find((c) => c.id === to)?.planId ?? null) ?? null
  const made = copyFor(reply.value.draft, to, { from: desk.plans, to: plan })
  lost.value = made.lost
  draft.value = made.draft
}
</script>

<template>
  <div>
    <header class="px-5 pt-4"><h1>Assign</h1></header>
    <p v-if="lost" class="note-line care mx-5 mt-3" data-hook="lost-anchors">
      Some dates hung on a lesson that this class’s plan does not have. They are empty now: set them below.
    </p>
    <WorkComposer v-if="draft" :initial="draft" :known="null" :lesson="lesson" :because="because" />
    <WholeUnit v-else-if="asked" :cards="asked" @go-on="begin" />
    <p v-else-if="problem" class="note-line needs m-5" role="alert">{{ problem }}</p>
    <p v-else class="said p-5">Opening …</p>
  </div>
</template>

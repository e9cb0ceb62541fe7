<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { ResourceKind } from '#core/library'
import { HandIn, StartTry } from '#shared/contracts/learning'
import type { MyPiece } from '#shared/contracts/learning'
import { useServerNow } from '~/shared/session/serverNow'
import { call } from '~/shared/wire/call'
import { sayForLearner } from '~/shared/words/tryRefusals'
import { sayLeft, sayMoment } from '~/shared/words/times'
import PieceMaterial from './PieceMaterial.vue'

// most learners have a piece as it is
const SupportPanel = defineAsyncComponent(() => import('./support/SupportPanel.vue'))

const props = defineProps<{ of: MyPiece }>()
/** How a learner says that they are done, where it is not by reading. */
const DONE_WORDS: Partial<Record<ResourceKind, string>> = {
  video: 'I have watched it',
  'word-list': 'I know these words',
  'read-aloud': 'I have read it aloud',
  project: 'It is done',
  link: 'I have looked at it',
}
const emit = defineEmits<{ done: [] }>()
const now = useServerNow(1000)
const busy = ref(false)
const problem = ref('')
/** From when it may be called done; null once it is open long enough. */
const until = computed(() => {
  const { reading } = props.of
  return reading && reading.doneFrom > now.value ? reading.doneFrom : null
})

/** Who says so twice, or while the page was open elsewhere, goes on with the same reading. */
async function begun() {
  const { reading, work, piece } = props.of
  if (reading) return reading.attemptId
  const reply = await call(StartTry, { params: { assignmentId: work.id }, body: { pieceId: piece.pieceId } })
  if (reply.ok) return reply.value.attemptId
  problem.value = sayForLearner(reply.error, { zone: props.of.zone })
  return null
}
async function finish(): Promise<void> {
  busy.value = true
  problem.value = ''
  const attemptId = await begun()
  const reply = attemptId ? await call(HandIn, { params: { attemptId }, body: { saves: [] } }) : null
  busy.value = false
  if (reply && !reply.ok) problem.value = sayForLearner(reply.error, { zone: props.of.zone })
  if (reply?.ok) emit('done')
}
</script>

<template>
  <div>
    <SupportPanel v-if="of.support" :support="of.support" />
    <PieceMaterial class="my-4" :material="of.material" :content="of.content" :support="of.support" />
    <slot />
    <p v-if="problem" class="note-line needs my-3" role="alert">{{ problem }}</p>
    <p v-if="of.piece.handedInAt" class="note-line fine my-3" data-hook="read">
      Done {{ sayMoment(of.piece.handedInAt, of.zone) }}.
    </p>
    <div v-else-if="of.piece.mayTry" class="my-4 flex flex-wrap items-center gap-3">
      <UButton size="lg" :loading="busy" :disabled="until !== null" data-hook="finish" @click="finish">{{
        DONE_WORDS[of.piece.kind] ?? 'I have read it'
      }}</UButton>
      <span v-if="until" class="said">{{ sayLeft(until, now, of.zone).replace(/ left$/, '') }} to go</span>
    </div>
  </div>
</template>

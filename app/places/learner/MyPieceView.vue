<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { until } from '@vueuse/core'
import { computed, defineAsyncComponent, nextTick, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { cardOfKind } from '#core/library'
import type { AssignmentId, PieceId } from '#core/base'
import type { MyFile } from '#core/work'
import { ShowMyPiece, StartTry } from '#shared/contracts/learning'
import type { MyPiece } from '#shared/contracts/learning'
import { useAddress } from '~/shared/frame/address'
import { useServerNow } from '~/shared/session/serverNow'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { sayForLearner } from '~/shared/words/tryRefusals'
import PieceScreen from './components/PieceScreen.vue'
import ReadPiece from './components/ReadPiece.vue'
import TryPaper from './components/TryPaper.vue'
import { leftOff } from './composables/leftOff'

// most pieces take no files
const HandedFiles = defineAsyncComponent(() => import('./components/HandedFiles.vue'))
const FIRST_FIELD = 'main form :is(input:not([type="file"]), textarea, select, [contenteditable="true"])'
const route = useRoute()
const address = useAddress()
const params = { assignmentId: route.params.id as AssignmentId }
const asked = computed(() => address.id<PieceId>('piece'))
const me = useMe()
const now = useServerNow(5000)
const piece = shallowRef<MyPiece | null>(null)
const problem = ref('')
const busy = ref(false)
useHead({ title: computed(() => titleOf(piece.value)) })
onBeforeUnmount(() => leftOff(params.assignmentId))

/** A step of some work is named before the work. */
function titleOf(shown: MyPiece | null): string {
  if (!shown) return 'Work'
  const { work, piece: step } = shown
  return step.title === work.title ? work.title : `${step.title}, ${work.title}`
}

async function load(): Promise<void> {
  const wanted = asked.value
  const reply = await call(ShowMyPiece, { params, query: wanted ? { pieceId: wanted } : {} })
  if (wanted !== asked.value) return
  if (!reply.ok) {
    problem.value = sayForLearner(reply.error)
    return
  }
  me.hear(reply.value.now)
  piece.value = reply.value
  await opened(reply.value)
}
watch(asked, load, { immediate: true })
/** Another step was opened: its heading is where it begins. */
watch(asked, async () => {
  await until(() => piece.value?.piece.pieceId === asked.value).toBe(true, { timeout: 5000 })
  await nextTick()
  document.getElementById('piece-title')?.focus()
})
/** Opening a piece that is only read begins it, so that its least time runs. */
async function opened({ work: of, piece: p, reading }: MyPiece): Promise<void> {
  if (p.itemCount > 0 || reading || p.handedInAt !== null || !p.mayTry) return
  const begun = await call(StartTry, { params, body: { pieceId: p.pieceId } })
  if (begun.ok && piece.value?.work.id === of.id && piece.value.piece.pieceId === p.pieceId) await load()
}
async function start(): Promise<void> {
  const shown = piece.value
  if (!shown) return
  busy.value = true
  problem.value = ''
  const reply = await call(StartTry, { params, body: { pieceId: shown.piece.pieceId } })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayForLearner(reply.error, { zone: piece.value?.zone })
    return
  }
  me.hear(reply.value.now)
  await load()
  await nextTick()
  // what is first to be filled in, of whatever kind it is
  document.querySelector<HTMLElement>(FIRST_FIELD)?.focus()
}
async function handedIn(): Promise<void> {
  await load()
  await nextTick()
  document.getElementById('main')?.focus()
}
/** What is handed in as files, for the place where that is done; null: this kind of piece takes none. */
const ownFiles = computed(() => {
  const of = piece.value
  return of?.files ? { of, files: of.files, onChanged: keepFiles } : null
})
function keepFiles(files: readonly MyFile[]): void {
  if (piece.value) piece.value = { ...piece.value, files }
}
const beginWords = computed(() => {
  const { kind, triesUsed } = piece.value?.piece ?? {}
  if (triesUsed === 0) return 'Begin'
  // a page is one's own copy: it is gone on with
  return kind && cardOfKind(kind).isOwnCopy ? 'Go on filling it in' : 'Try again'
})
const linkTo = (id: PieceId) => `/learn/${params.assignmentId}?piece=${id}`
</script>

<template>
  <PieceScreen v-if="piece" :of="piece" :now="now" :link-to="linkTo">
    <template #back><NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink></template>
    <template #open>
      <TryPaper
        v-if="piece.open"
        :attempt="piece.open"
        :content="piece.content"
        :material="piece.material"
        :support="piece.support"
        :zone="piece.zone"
        :goes-on="cardOfKind(piece.piece.kind).isOwnCopy"
        :has-files="(ownFiles?.files.length ?? 0) > 0"
        @done="handedIn"
      >
        <template #files><HandedFiles v-if="ownFiles" v-bind="ownFiles" /></template>
      </TryPaper>
    </template>
    <template #problem>
      <p v-if="problem" class="note-line needs my-3" role="alert">{{ problem }}</p>
    </template>
    <template #files><HandedFiles v-if="ownFiles" v-bind="ownFiles" /></template>
    <template #reading>
      <ReadPiece :of="piece" @done="handedIn"><HandedFiles v-if="ownFiles" v-bind="ownFiles" /></ReadPiece>
    </template>
    <template #begin>
      <div class="my-4">
        <UButton size="lg" :loading="busy" data-hook="start" @click="start">{{ beginWords }}</UButton>
      </div>
    </template>
  </PieceScreen>
  <div v-else class="pt-6">
    <p v-if="problem" class="note-line needs" role="alert">
      {{ problem }} <NuxtLink class="plain" to="/learn">My work</NuxtLink>
    </p>
    <p v-else class="said">Opening …</p>
  </div>
</template>

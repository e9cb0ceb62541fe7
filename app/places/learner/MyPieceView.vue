<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { AssignmentId, PieceId } from '#core/base'
import { ShowMyPiece, StartTry } from '#shared/contracts/learning'
import type { MyPiece } from '#shared/contracts/learning'
import { useServerNow } from '~/shared/session/serverNow'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { KEPT_WORDS, PASSING_WORDS, REVEAL_WORDS } from '~/shared/words/rules'
import { sayMoment } from '~/shared/words/times'
import PieceSteps from './components/PieceSteps.vue'
import ReadPiece from './components/ReadPiece.vue'
import SeenTry from './components/SeenTry.vue'
import TryPaper from './components/TryPaper.vue'
import WorkAbout from './components/WorkAbout.vue'

function sayTries(most: number | null, kept: keyof typeof KEPT_WORDS): string {
  if (most === null) return 'You can try as often as you like.'
  return `${count(most, 'try', 'tries')}${most > 1 ? `; your ${KEPT_WORDS[kept]} counts` : ''}.`
}

const route = useRoute()
const params = { assignmentId: route.params.id as AssignmentId }
const asked = computed(() => (typeof route.query.piece === 'string' ? (route.query.piece as PieceId) : null))
const me = useMe()
const now = useServerNow(5000)
const piece = shallowRef<MyPiece | null>(null)
const problem = ref('')
const busy = ref(false)
useHead({ title: computed(() => `${piece.value?.work.title ?? 'Work'} · Step Cairn`) })

async function load(): Promise<void> {
  const wanted = asked.value
  const reply = await call(ShowMyPiece, { params, query: wanted ? { pieceId: wanted } : {} })
  if (wanted !== asked.value) return
  if (!reply.ok) {
    problem.value = sayForEveryone(reply.error)
    return
  }
  me.hear(reply.value.now)
  piece.value = reply.value
  await opened(reply.value)
}
watch(asked, load, { immediate: true })
/** Opening a piece that is only read begins it, so that its least time runs. */
async function opened({ work: of, piece: p, reading }: MyPiece): Promise<void> {
  if (p.itemCount > 0 || reading || p.handedInAt !== null || !p.mayTry) return
  const begun = await call(StartTry, { params, body: { pieceId: p.pieceId } })
  if (begun.ok && piece.value?.work.id === of.id && piece.value.piece.pieceId === p.pieceId) await load()
}
async function start(): Promise<void> {
  busy.value = true
  problem.value = ''
  const shown = piece.value
  if (!shown) return
  const reply = await call(StartTry, { params, body: { pieceId: shown.piece.pieceId } })
  busy.value = false
  if (!reply.ok) {
    problem.value = sayForEveryone(reply.error, { zone: piece.value?.zone })
    return
  }
  me.hear(reply.value.now)
  await load()
  await nextTick()
  document.querySelector<HTMLElement>('fieldset input')?.focus()
}
async function handedIn(): Promise<void> {
  await load()
  await nextTick()
  document.getElementById('main')?.focus()
}
const work = computed(() => piece.value?.work ?? null)
const card = computed(() => piece.value?.piece ?? null)
const isOne = computed(() => work.value?.pieces.length === 1)
const facts = computed(() => {
  const p = piece.value
  if (!p) return []
  const w = p.piece
  return [
    ...(w.opensAt && w.opensAt > now.value ? [`Opens ${sayMoment(w.opensAt, p.zone, 'opens')}.`] : []),
    ...(w.dueAt ? [`Due ${sayMoment(w.dueAt, p.zone, 'due')}.`] : ['No due date.']),
    ...(w.closesAt && w.closesAt !== w.dueAt
      ? [`Closes ${sayMoment(w.closesAt, p.zone, 'closes')}; after it is due it counts as late.`]
      : []),
    ...(w.itemCount === 0 ? [] : [sayTries(w.triesMost, p.kept as keyof typeof KEPT_WORDS)]),
    ...(w.timeLimitMinutes === null
      ? []
      : [`Once you start you have ${count(Math.round(w.timeLimitMinutes), 'minute')}.`]),
    ...(w.itemCount === 0
      ? []
      : [
          ...(w.passPercent === null ? [] : [`Passed from ${w.passPercent} %.`]),
          `Score and feedback: ${REVEAL_WORDS[p.feedbackWhen as keyof typeof REVEAL_WORDS]}. ` +
            `Right answers: ${REVEAL_WORDS[p.answersWhen as keyof typeof REVEAL_WORDS]}.`,
        ]),
  ]
})
</script>

<template>
  <div v-if="piece && work && card" class="pt-4">
    <NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink>
    <header class="flex gap-4 items-start mt-2 mb-3">
      <div class="flex-1">
        <p class="said">
          {{ isOne ? `${KIND_WORDS[card.kind]} · ` : '' }}{{ work.className
          }}<template v-if="piece.open"> · try {{ piece.open.number }}</template>
        </p>
        <h1>{{ work.title }}</h1>
      </div>
      <p v-if="!piece.open && card.ratio !== null" class="text-right">
        <strong class="display text-2xl">{{ percent(card.ratio) }}</strong><span class="said block">{{
          card.passing === null ? 'counts' : PASSING_WORDS[card.passing]
        }}</span>
      </p>
    </header>
    <PieceSteps v-if="!isOne && !piece.open" :work="work" :shown="card.pieceId" :zone="piece.zone" />
    <h2 v-if="!isOne" class="mb-2">{{ card.title }}</h2>
    <TryPaper
      v-if="piece.open"
      :attempt="piece.open"
      :content="piece.content"
      :zone="piece.zone"
      @done="handedIn"
    />
    <template v-else>
      <WorkAbout :work="work" :is-new="card.triesUsed === 0 && card.mayTry && card.itemCount > 0" />
      <ul class="facts">
        <li v-for="f in facts" :key="f">{{ f }}</li>
      </ul>
      <p v-if="problem" class="note-line needs my-3" role="alert">{{ problem }}</p>
      <p v-if="card.blockedBy" class="note-line care my-3" data-hook="blocked">
        First finish “{{ card.blockedBy.title }}”; then you can begin this.
      </p>
      <p v-if="piece.waitUntil && piece.waitUntil > now" class="note-line care my-3">
        You can try again from {{ sayMoment(piece.waitUntil, piece.zone) }}.
      </p>
      <ReadPiece v-if="card.itemCount === 0 && !card.blockedBy" :of="piece" @done="handedIn" />
      <div v-else-if="card.mayTry" class="my-4">
        <UButton size="lg" :loading="busy" data-hook="start" @click="start">{{
          card.triesUsed === 0 ? 'Begin' : 'Try again'
        }}</UButton>
      </div>
      <p v-if="card.itemCount > 0 && piece.seen.length && !piece.seen[0]?.score" class="note-line fine my-3">
        Handed in. Your score shows {{ REVEAL_WORDS[piece.feedbackWhen as keyof typeof REVEAL_WORDS] }}.
      </p>
      <SeenTry
        v-for="(t, i) in card.itemCount > 0 ? [...piece.seen].reverse() : []"
        :key="t.attemptId"
        :attempt="t"
        :zone="piece.zone"
        :start-open="i === 0"
        :only="piece.seen.length === 1"
      />
    </template>
  </div>
  <div v-else class="pt-6">
    <p v-if="problem" class="note-line needs" role="alert">
      {{ problem }} <NuxtLink class="plain" to="/learn">My work</NuxtLink>
    </p>
    <p v-else class="said">Opening …</p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 0.15rem;
  padding: 0.7rem 0;
  border-block: 1px solid var(--ui-border);
}
</style>

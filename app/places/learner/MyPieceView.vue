<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue'
import type { AssignmentId } from '#core/base'
import type { ResourceKind } from '#core/library'
import { ShowMyPiece, StartTry } from '#shared/contracts/learning'
import type { MyPiece } from '#shared/contracts/learning'
import { toHtml } from '~/shared/words/markdown'
import { useServerNow } from '~/shared/session/serverNow'
import { useMe } from '~/shared/session/me'
import { call } from '~/shared/wire/call'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { sayForEveryone } from '~/shared/words/everyonesRefusals'
import { KEPT_WORDS, REVEAL_WORDS } from '~/shared/words/rules'
import { sayMoment } from '~/shared/words/times'
import SeenTry from './components/SeenTry.vue'
import TryPaper from './components/TryPaper.vue'

function sayTries(most: number | null, kept: keyof typeof KEPT_WORDS): string {
  if (most === null) return 'You can try as often as you like.'
  return `${count(most, 'try', 'tries')}${most > 1 ? `; your ${KEPT_WORDS[kept]} counts` : ''}.`
}

const params = { assignmentId: useRoute().params.id as AssignmentId }
const me = useMe()
const now = useServerNow(5000)
const piece = shallowRef<MyPiece | null>(null)
const problem = ref('')
const busy = ref(false)
useHead({ title: computed(() => `${piece.value?.work.title ?? 'Work'} · Step Cairn`) })

async function load(): Promise<void> {
  const reply = await call(ShowMyPiece, { params })
  if (reply.ok) {
    me.hear(reply.value.now)
    piece.value = reply.value
  } else problem.value = sayForEveryone(reply.error)
}
onMounted(load)
async function start(): Promise<void> {
  busy.value = true
  problem.value = ''
  const reply = await call(StartTry, { params })
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
const facts = computed(() => {
  const p = piece.value
  if (!p) return []
  const w = p.work
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
          `Score and feedback: ${REVEAL_WORDS[p.feedbackWhen as keyof typeof REVEAL_WORDS]}. ` +
            `Right answers: ${REVEAL_WORDS[p.answersWhen as keyof typeof REVEAL_WORDS]}.`,
        ]),
  ]
})
</script>

<template>
  <div v-if="piece && work" class="pt-4">
    <NuxtLink to="/learn" class="plain text-sm">My work</NuxtLink>
    <header class="flex gap-4 items-start mt-2 mb-3">
      <div class="flex-1">
        <p class="said">
          {{ KIND_WORDS[work.kind as ResourceKind] }} · {{ work.className
          }}<template v-if="piece.open"> · try {{ piece.open.number }}</template>
        </p>
        <h1>{{ work.title }}</h1>
      </div>
      <p v-if="!piece.open && work.ratio !== null" class="text-right">
        <strong class="display text-2xl">{{ percent(work.ratio) }}</strong><span class="said block"
          >counts</span
        >
      </p>
    </header>
    <TryPaper
      v-if="piece.open"
      :attempt="piece.open"
      :content="piece.content"
      :zone="piece.zone"
      @done="handedIn"
    />
    <template v-else>
      <p v-if="work.note" class="mb-2">{{ work.note }}</p>
      <ul class="facts">
        <li v-for="f in facts" :key="f">{{ f }}</li>
      </ul>
      <p v-if="problem" class="note-line needs my-3" role="alert">{{ problem }}</p>
      <p v-if="piece.waitUntil && piece.waitUntil > now" class="note-line care my-3">
        You can try again from {{ sayMoment(piece.waitUntil, piece.zone) }}.
      </p>
      <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
      <div v-if="piece.content && work.itemCount === 0" class="prose my-4" v-html="toHtml(piece.content)" />
      <div v-if="work.mayTry && work.itemCount > 0" class="my-4">
        <UButton size="lg" :loading="busy" data-hook="start" @click="start">{{
          work.triesUsed === 0 ? 'Begin' : 'Try again'
        }}</UButton>
      </div>
      <p v-if="piece.seen.length && !piece.seen[0]?.score" class="note-line fine my-3">
        Handed in. Your score shows {{ REVEAL_WORDS[piece.feedbackWhen as keyof typeof REVEAL_WORDS] }}.
      </p>
      <SeenTry
        v-for="(t, i) in [...piece.seen].reverse()"
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

<script setup lang="ts">
import { computed } from 'vue'
import { cardOfKind } from '#core/library'
import type { Instant, PieceId } from '#core/base'
import type { MyPiece } from '#shared/contracts/learning'
import { count, percent } from '~/shared/words/numbers'
import { KIND_WORDS } from '~/shared/words/pieces'
import { KEPT_WORDS, PASSING_WORDS, REVEAL_WORDS } from '~/shared/words/rules'
import { sayMoment } from '~/shared/words/times'
import PieceSteps from './PieceSteps.vue'
import SeenTry from './SeenTry.vue'
import WorkAbout from './WorkAbout.vue'

/** One piece as its learner sees it; what can be done stands in the slots. */
const props = defineProps<{
  of: MyPiece
  now: Instant
  linkTo: (piece: PieceId) => string
}>()
const work = computed(() => props.of.work)
const card = computed(() => props.of.piece)
const isOne = computed(() => work.value.pieces.length === 1)

/** How often it is handed in; of a page that is over there is nothing to say. */
function sayHandingIn({ kind, triesMost, mayTry }: MyPiece['piece'], kept: string): readonly string[] {
  if (!cardOfKind(kind).isOwnCopy) return [sayTries(triesMost, kept as keyof typeof KEPT_WORDS)]
  return mayTry ? ['You can go on filling it in after you have handed it in.'] : []
}
function sayTries(most: number | null, kept: keyof typeof KEPT_WORDS): string {
  if (most === null) return 'You can try as often as you like.'
  return `${count(most, 'try', 'tries')}${most > 1 ? `; your ${KEPT_WORDS[kept]} counts` : ''}.`
}
const facts = computed(() => {
  const p = props.of
  const w = p.piece
  return [
    ...(w.opensAt && w.opensAt > props.now ? [`Opens ${sayMoment(w.opensAt, p.zone, 'opens')}.`] : []),
    ...(w.dueAt ? [`Due ${sayMoment(w.dueAt, p.zone, 'due')}.`] : ['No due date.']),
    ...(w.closesAt && w.closesAt !== w.dueAt
      ? [`Closes ${sayMoment(w.closesAt, p.zone, 'closes')}; after it is due it counts as late.`]
      : []),
    ...(w.itemCount === 0 ? [] : sayHandingIn(w, p.kept)),
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
  <div class="pt-4" :class="{ 'larger-type': of.support?.largerType }">
    <slot name="back" />
    <header class="flex gap-4 items-start mt-2 mb-3">
      <div class="flex-1">
        <p class="said">
          {{ isOne ? `${KIND_WORDS[card.kind]} · ` : '' }}{{ work.className
          }}<template v-if="of.open"> · try {{ of.open.number }}</template>
        </p>
        <h1>{{ work.title }}</h1>
      </div>
      <p v-if="!of.open && card.ratio !== null" class="text-right">
        <strong class="display text-2xl">{{ percent(card.ratio) }}</strong><span class="said block">{{
          card.passing === null ? 'counts' : PASSING_WORDS[card.passing]
        }}</span>
      </p>
    </header>
    <PieceSteps
      v-if="!isOne && !of.open"
      :work="work"
      :shown="card.pieceId"
      :zone="of.zone"
      :link-to="linkTo"
    />
    <h2
      v-if="!isOne || card.title !== work.title"
      id="piece-title"
      tabindex="-1"
      class="mb-2"
      data-hook="piece-title"
    >
      {{ card.title }}
    </h2>
    <p v-if="of.mates.length" class="mb-2" data-hook="mates">
      Together with {{ of.mates.join(', ') }}. What one of you hands in counts for all of you.
    </p>
    <slot v-if="of.open" name="open" />
    <template v-else>
      <WorkAbout :work="work" :is-new="card.triesUsed === 0 && card.mayTry && card.itemCount > 0" />
      <ul class="facts">
        <li v-for="f in facts" :key="f">{{ f }}</li>
      </ul>
      <slot name="problem" />
      <p v-if="card.blockedBy" class="note-line care my-3" data-hook="blocked">
        First finish “{{ card.blockedBy.title }}”; then you can begin this.
      </p>
      <p v-if="of.waitUntil && of.waitUntil > now" class="note-line care my-3">
        You can try again from {{ sayMoment(of.waitUntil, of.zone) }}.
      </p>
      <slot v-if="card.itemCount === 0 && !card.blockedBy" name="reading" />
      <slot v-else-if="card.mayTry" name="begin" />
      <!-- below, since it comes a moment later and would move the button -->
      <slot v-if="card.itemCount > 0 && of.files && !card.blockedBy" name="files" />
      <p v-if="card.itemCount > 0 && of.seen.length && !of.seen[0]?.score" class="note-line fine my-3">
        Handed in. Your score shows {{ REVEAL_WORDS[of.feedbackWhen as keyof typeof REVEAL_WORDS] }}.
      </p>
      <SeenTry
        v-for="(t, i) in card.itemCount > 0 ? [...of.seen].reverse() : []"
        :key="t.attemptId"
        :attempt="t"
        :zone="of.zone"
        :start-open="i === 0"
        :only="of.seen.length === 1"
        :is-copy="cardOfKind(card.kind).isOwnCopy"
      />
    </template>
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

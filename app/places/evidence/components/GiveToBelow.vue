<script setup lang="ts">
import { computed } from 'vue'
import type { NamedPiece } from '#core/attempts'
import type { ClassId, UserId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { count } from '~/shared/words/numbers'
import GivePieces from './GivePieces.vue'

/** What to give those below 60 %: first what the piece points to, then what its lesson has for them, then anything. */
const props = defineProps<{
  pointed: readonly PieceCard[]
  classId: ClassId
  /** What they are below 60 % in. */
  piece: NamedPiece
  below: readonly UserId[]
}>()
const query = computed(() => ({
  learners: props.below.join(','),
  class: props.classId,
  because: 'below-60',
}))
const followUp = computed(() => ({
  path: '/evidence/follow-up',
  query: { class: props.classId, work: props.piece.assignmentId, piece: props.piece.pieceId },
}))
</script>

<template>
  <section class="mt-3 grid gap-2" data-hook="give-to-below">
    <h3>For the {{ count(below.length, 'learner') }} below 60 %</h3>
    <GivePieces
      :pieces="pointed"
      :who="`the ${count(below.length, 'learner')} below 60 %`"
      :query="query"
      hook="pointed"
    />
    <NuxtLink class="plain text-sm" :to="followUp" data-hook="follow-up-of-piece"
      >Each what they missed: follow-up</NuxtLink
    >
  </section>
</template>

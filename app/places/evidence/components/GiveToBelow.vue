<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, UserId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { count } from '~/shared/words/numbers'
import GivePieces from './GivePieces.vue'

/** What to give those below 60 %: first what the piece points to, then what its lesson has for them, then anything. */
const props = defineProps<{
  pointed: readonly PieceCard[]
  classId: ClassId
  below: readonly UserId[]
}>()
const query = computed(() => ({
  learners: props.below.join(','),
  class: props.classId,
  because: 'below-60',
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
  </section>
</template>

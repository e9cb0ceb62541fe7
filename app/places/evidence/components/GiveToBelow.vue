<script setup lang="ts">
import { computed } from 'vue'
import type { ClassId, UserId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { count } from '~/shared/words/numbers'
import { sayPiece } from '~/shared/words/pieces'

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
    <div v-for="card in pointed" :key="card.id" class="flex items-start gap-2" data-hook="pointed">
      <div class="flex-1 min-w-0">
        <p class="text-sm">{{ card.title }}</p>
        <p class="said">{{ sayPiece(card) }}</p>
      </div>
      <UButton
        size="xs"
        :to="{ path: '/work/new', query: { ...query, piece: card.id } }"
        :aria-label="`Give ${card.title} to the ${count(below.length, 'learner')} below 60 %`"
        >Give</UButton
      >
    </div>
    <UButton
      class="justify-self-start"
      color="neutral"
      variant="outline"
      icon="i-lucide-plus"
      :to="{ path: '/work/new', query }"
      data-hook="assign-to-below"
      >{{ pointed.length ? 'Something else' : 'Assign something' }}</UButton
    >
  </section>
</template>

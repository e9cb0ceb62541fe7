<script setup lang="ts">
import { ref } from 'vue'
import type { ResourceId, UserId } from '#core/base'
import type { PieceCard } from '#shared/contracts/library'
import { useRecommending } from '~/places/work'
import { sayPiece } from '~/shared/words/pieces'
import { usePointed } from '../composables/pointed'

/** Pieces that may be recommended to some learners after one: a press offers it to them, and asks nothing of them. */
const props = defineProps<{ resourceId: ResourceId; learnerIds: readonly UserId[]; who: string }>()
const emit = defineEmits<{ done: [] }>()
const pointed = usePointed(() => props.resourceId)
const { recommend, busy } = useRecommending()
const given = ref<ReadonlySet<string>>(new Set())
const nameOf = (card: PieceCard) => `${card.id} ${props.learnerIds.join(' ')}`
async function give(card: PieceCard): Promise<void> {
  if (!(await recommend(card, props.learnerIds, props.who))) return
  given.value = new Set([...given.value, nameOf(card)])
  emit('done')
}
</script>

<template>
  <section v-if="pointed?.length" class="grid gap-2" data-hook="recommend-piece">
    <h3>To go on with</h3>
    <div v-for="card in pointed" :key="card.id" class="flex items-start gap-2">
      <div class="flex-1 min-w-0">
        <p class="text-sm">{{ card.title }}</p>
        <p class="said">{{ sayPiece(card) }}</p>
      </div>
      <UButton
        size="xs"
        variant="outline"
        :disabled="busy || given.has(nameOf(card))"
        :aria-label="`Recommend ${card.title} to ${who}`"
        @click="give(card)"
        >{{ given.has(nameOf(card)) ? 'Recommended' : 'Recommend' }}</UButton
      >
    </div>
  </section>
</template>

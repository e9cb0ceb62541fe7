<script setup lang="ts">
import type { PieceCard } from '#shared/contracts/library'
import { sayPiece } from '~/shared/words/pieces'

/** Pieces that fit, each given in one press to those whom the address names; behind them anything else. */
defineProps<{
  pieces: readonly PieceCard[]
  /** To whom, as it is said and as the composer's address has it. */
  who: string
  query: Readonly<Record<string, string>>
  /** Names each piece for whoever looks for it. */
  hook: string
}>()
</script>

<template>
  <div v-for="card in pieces" :key="card.id" class="flex items-start gap-2" :data-hook="hook">
    <div class="flex-1 min-w-0">
      <p class="text-sm">{{ card.title }}</p>
      <p class="said">{{ sayPiece(card) }}</p>
    </div>
    <UButton
      size="xs"
      :to="{ path: '/work/new', query: { ...query, piece: card.id } }"
      :aria-label="`Give ${card.title} to ${who}`"
      >Give</UButton
    >
  </div>
  <UButton
    class="justify-self-start"
    color="neutral"
    variant="outline"
    icon="i-lucide-plus"
    :to="{ path: '/work/new', query }"
    data-hook="give-else"
    >{{ pieces.length ? 'Something else' : 'Assign something' }}</UButton
  >
</template>

<script setup lang="ts">
import type { PieceCard } from '#shared/contracts/library'
import { sayPiece } from '~/shared/words/pieces'
import ShelfRow from './ShelfRow.vue'

/** A piece in the outline: pressed to look inside, ticked to be assigned with others. */
defineProps<{
  piece: PieceCard
  isChosen: boolean
  isTicked: boolean
  /** Where it belongs, in case that is not to be seen from where it stands. */
  from?: string
  /** Classes that were given it, by their short names. */
  hadBy?: readonly string[]
}>()
defineEmits<{ choose: []; tick: [isOn: boolean] }>()
</script>

<template>
  <div class="flex gap-2.5 items-start">
    <UCheckbox
      class="mt-1.5"
      size="sm"
      :model-value="isTicked"
      :aria-label="`Tick ${piece.title}`"
      data-hook="tick-piece"
      @update:model-value="$emit('tick', $event === true)"
    />
    <ShelfRow class="piece" :is-chosen="isChosen" data-hook="piece" @choose="$emit('choose')">
      <span>{{ piece.title }}</span><span class="said"
        ><template v-if="from">{{ from }} · </template>{{ sayPiece(piece) }} ·
        <span class="code">{{ piece.code }}</span><template v-if="hadBy?.length">
          · {{ hadBy.join(', ') }} had it</template
        ></span
      >
    </ShelfRow>
  </div>
</template>

<style scoped>
.piece {
  display: grid;
}
.piece > span:first-child {
  color: var(--ui-primary);
}
</style>

<script setup lang="ts">
import type { PieceCard } from '#shared/contracts/library'
import { sayPiece } from '~/shared/words/pieces'
import { useTray } from '../stores/tray'
import ShelfRow from './ShelfRow.vue'

/** A piece in a list of the shelf: pressed to look inside, ticked into the tray. */
withDefaults(
  defineProps<{
    piece: PieceCard
    isChosen: boolean
    /** Where it belongs, in case that is not to be seen from where it stands. */
    from?: string
    /** Classes that were given it, by their short names. */
    hadBy?: readonly string[]
    /** It can be ticked into the tray. */
    mayTick?: boolean
  }>(),
  { mayTick: true },
)
defineEmits<{ choose: [] }>()
const tray = useTray()
</script>

<template>
  <div class="flex gap-2.5 items-start">
    <UCheckbox
      v-if="mayTick"
      class="mt-1.5"
      size="sm"
      :model-value="tray.has(piece.id)"
      :aria-label="`Tick ${piece.title}`"
      data-hook="tick-piece"
      @update:model-value="$event === true ? tray.put([piece.id]) : tray.take([piece.id])"
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

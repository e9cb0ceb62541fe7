<script setup lang="ts">
import { computed, ref } from 'vue'
import { cardOfKind } from '#core/library'
import type { PieceCard } from '#shared/contracts/library'
import { count } from '~/shared/words/numbers'
import { sayPiece } from '~/shared/words/pieces'

/** So many pieces at once are seldom meant: says what each learner would get, and lets some of it go. */
const props = defineProps<{ cards: readonly PieceCard[] }>()
const emit = defineEmits<{ goOn: [cards: readonly PieceCard[], inTurn: boolean] }>()
const kept = ref<ReadonlySet<string>>(new Set(props.cards.map((c) => c.id)))
const left = computed(() => props.cards.filter((c) => kept.value.has(c.id)))
const minutes = computed(() => left.value.reduce((sum, c) => sum + c.minutes, 0))
function toggle(id: string, isOn: boolean): void {
  const next = new Set(kept.value)
  if (isOn) next.add(id)
  else next.delete(id)
  kept.value = next
}
const keepOnly = (of: (c: PieceCard) => boolean) => {
  kept.value = new Set(props.cards.filter(of).map((c) => c.id))
}
</script>

<template>
  <section class="px-5 py-4 max-w-2xl" data-hook="whole-unit" aria-labelledby="whole-unit">
    <h2 id="whole-unit">
      Each learner would get {{ count(left.length, 'separate piece') }}, {{ minutes }} minutes in all
    </h2>
    <p class="my-2">
      They stand in one list, each with its own tries. Keep what you mean to give now; the rest can follow
      with its lessons.
    </p>
    <div class="flex flex-wrap gap-2 mb-3">
      <UButton
        size="xs"
        color="neutral"
        variant="outline"
        data-hook="only-checks"
        @click="keepOnly((c) => cardOfKind(c.kind).measures !== null)"
        >Only checks and tests</UButton
      >
      <UButton size="xs" color="neutral" variant="outline" @click="keepOnly((c) => c.role === 'core')"
        >Only what everybody does</UButton
      >
      <UButton size="xs" color="neutral" variant="outline" @click="keepOnly(() => true)">All of it</UButton>
    </div>
    <ul>
      <li v-for="c in cards" :key="c.id" class="border-b border-default py-1.5">
        <UCheckbox
          :model-value="kept.has(c.id)"
          :label="c.title"
          :description="sayPiece(c)"
          @update:model-value="toggle(c.id, $event === true)"
        />
      </li>
    </ul>
    <UButton
      class="sticky bottom-4 mt-4"
      size="md"
      :disabled="left.length === 0"
      data-hook="go-on"
      @click="emit('goOn', left, false)"
      >Go on with {{ count(left.length, 'piece') }}</UButton
    >
    <UButton
      v-if="left.length > 1"
      class="sticky bottom-4 mt-4 ml-2"
      size="md"
      color="neutral"
      variant="outline"
      data-hook="go-on-in-turn"
      @click="emit('goOn', left, true)"
      >One after another</UButton
    >
  </section>
</template>

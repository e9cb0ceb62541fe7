<script setup lang="ts">
import type { StandingId } from '#core/base'
import type { StandingOfPlan, ClassHas } from '#shared/contracts/standing'
import { sayChanges, sayOffer } from '../../words/standing'

/** What a plan offers one class since its work was laid: to take over, or to leave as it is. */
const props = defineProps<{
  of: StandingOfPlan
  room: StandingOfPlan['classes'][number]
  open: readonly ClassHas[]
  left: readonly ClassHas[]
  busy: boolean
}>()
const emit = defineEmits<{ answer: [ids: readonly StandingId[], take: boolean] }>()
const titleOf = (id: StandingId) =>
  props.of.standing.find((s) => s.id === id)?.piece.title ??
  props.of.gone.find((g) => g.id === id)?.title ??
  'a piece'
const all = () => props.open.map((h) => h.standingId)
</script>

<template>
  <section class="offers" :aria-label="`What the plan offers ${room.name}`" data-hook="offers">
    <div class="flex flex-wrap items-center gap-2">
      <h2 class="flex-1">{{ room.name }}: {{ sayChanges(open.length) }} of the plan</h2>
      <template v-if="open.length && room.mayChange">
        <UButton size="xs" :disabled="busy" data-hook="take-all" @click="emit('answer', all(), true)"
          >Take over</UButton
        >
        <UButton
          size="xs"
          color="neutral"
          variant="outline"
          :disabled="busy"
          data-hook="leave-all"
          @click="emit('answer', all(), false)"
          >Leave as it is</UButton
        >
      </template>
    </div>
    <ul>
      <li v-for="h in open" :key="h.standingId" class="flex flex-wrap items-center gap-2">
        <span class="flex-1"
          >{{ titleOf(h.standingId) }} <span class="said">{{ sayOffer(h.offer) }}</span></span
        >
        <UButton
          v-if="open.length > 1 && room.mayChange"
          size="xs"
          variant="link"
          :disabled="busy"
          @click="emit('answer', [h.standingId], true)"
          >Take</UButton
        >
      </li>
      <li v-for="h in left" :key="`left ${h.standingId}`" class="flex flex-wrap items-center gap-2 said">
        <span class="flex-1">{{ titleOf(h.standingId) }}: {{ sayOffer(h.offer) }}, left as it was</span>
        <UButton
          v-if="room.mayChange"
          size="xs"
          variant="link"
          :disabled="busy"
          @click="emit('answer', [h.standingId], true)"
          >Take after all</UButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
.offers {
  border-left: 4px solid var(--ui-warning);
  padding: 0.4rem 0.75rem;
  display: grid;
  gap: 0.3rem;
}
</style>

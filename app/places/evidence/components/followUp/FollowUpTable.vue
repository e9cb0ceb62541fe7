<script setup lang="ts">
import { computed } from 'vue'
import type { ResourceId } from '#core/base'
import type { FollowUpPage } from '#shared/contracts/followUp'
import type { Row, RowGroup } from '../../composables/proposing'
import FollowUpGroup from './FollowUpGroup.vue'

/** Who gets what, and why: a row each, under what was missed. Up and down go from tick to tick. */
const props = defineProps<{ page: FollowUpPage; groups: readonly RowGroup[] }>()
const emit = defineEmits<{
  accept: [keys: readonly string[], isGiven: boolean]
  choose: [keys: readonly string[], pieceId: ResourceId]
}>()
const pieceOf = computed(() => new Map(props.page.ground.pieces.map((p) => [p.id, p])))
const textOf = computed(() => new Map(props.page.standards.map((s) => [s.code, s.text])))
const recordOf = (row: Row) => `/evidence/record?class=${props.page.classId}&learner=${row.learnerId}`

function step(event: KeyboardEvent): void {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  const tick = (event.target as HTMLElement).closest<HTMLElement>('[data-row]')
  if (by === 0 || !tick) return
  event.preventDefault()
  const ticks = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[data-row]')]
  const next = ticks[ticks.indexOf(tick) + by]
  const button = next?.matches('button') ? next : next?.querySelector('button')
  button?.focus()
}
</script>

<template>
  <div class="wide" tabindex="0" role="region" aria-label="Who gets what">
    <table class="grid-table" data-hook="follow-up" @keydown="step">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Given</span></th>
          <th scope="col">Learner</th>
          <th scope="col">Why</th>
          <th scope="col" class="piece">Piece</th>
          <th scope="col" class="carries">Due within a week</th>
        </tr>
      </thead>
      <FollowUpGroup
        v-for="group in groups"
        :key="`${group.code} ${group.isFurther}`"
        :group="group"
        :text="textOf.get(group.code) ?? ''"
        :piece-of="pieceOf"
        :record-of="recordOf"
        @accept="(keys, isGiven) => emit('accept', keys, isGiven)"
        @choose="(keys, pieceId) => emit('choose', keys, pieceId)"
      />
    </table>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
table {
  min-width: 46rem;
  max-width: 72rem;
}
.piece {
  width: 44%;
}
.grid-table .carries {
  text-align: right;
  white-space: nowrap;
}
</style>

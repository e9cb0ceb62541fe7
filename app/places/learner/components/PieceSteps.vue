<script setup lang="ts">
import type { PieceId } from '#core/base'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { percent } from '~/shared/words/numbers'
import { KIND_WORDS, WHEN_WORDS } from '~/shared/words/pieces'
import { sayMoment } from '~/shared/words/times'

defineProps<{ work: LearnerCard; shown: PieceId; zone: string; linkTo: (piece: PieceId) => string }>()

/** How a step stands, in two or three words. */
function standing(p: LearnerPiece, zone: string): string {
  if (p.blockedBy !== null) return `after “${p.blockedBy.title}”`
  if (p.ratio !== null) return `${percent(p.ratio)}${p.passing === 'not-yet' ? ', not passed yet' : ''}`
  if (p.handedInAt !== null) return p.itemCount === 0 ? 'done' : 'handed in'
  if (p.place === 'next' && p.opensAt !== null) return `opens ${sayMoment(p.opensAt, zone, 'opens')}`
  if (p.place === 'done') return 'closed'
  if (p.inProgress) return 'begun'
  return p.dueAt === null ? 'to do' : `due ${sayMoment(p.dueAt, zone, 'due')}`
}
</script>

<template>
  <nav aria-label="Steps of this work" data-hook="steps">
    <ol>
      <li v-for="(p, i) in work.pieces" :key="p.pieceId">
        <NuxtLink
          :to="linkTo(p.pieceId)"
          replace
          :aria-current="p.pieceId === shown ? 'step' : undefined"
          :class="{ shown: p.pieceId === shown, done: p.handedInAt !== null }"
          data-hook="step"
        >
          <span class="number" aria-hidden="true"
            ><UIcon v-if="p.handedInAt !== null" name="i-lucide-check" class="size-4" /><template v-else>{{
              i + 1
            }}</template></span
          ><span class="min-w-0"
            ><b>{{ p.title }}</b
            ><span class="meta"
              >{{ KIND_WORDS[p.kind] }}, {{ WHEN_WORDS[p.when] }} · {{ p.minutes }} min ·
              {{ standing(p, zone) }}</span
            ></span
          >
        </NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
ol {
  display: grid;
  gap: 0.3rem;
  margin: 0.6rem 0 1rem;
}
a {
  display: grid;
  grid-template-columns: 1.9rem 1fr;
  gap: 0.6rem;
  align-items: center;
  padding: 0.45rem 0.6rem;
  border: 1px solid var(--ui-border);
  border-radius: 7px 8px 6px 8px;
}
a:hover {
  border-color: var(--ui-primary);
}
a.shown {
  border-color: var(--ui-primary);
  border-left-width: 5px;
  padding-left: calc(0.6rem - 4px);
  background: var(--stone-face);
}
.number {
  display: grid;
  place-items: center;
  width: 1.7rem;
  height: 1.7rem;
  border-radius: 9px 7px 10px 8px;
  border: 1px solid var(--ui-border-accented);
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.done .number {
  background: var(--ui-bg-accented);
}
.meta {
  display: block;
  font-size: var(--text-xs);
  color: var(--ui-text-muted);
}
</style>

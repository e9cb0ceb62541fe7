<script setup lang="ts">
import { computed } from 'vue'
import type { AssignmentId, Instant, PieceId } from '#core/base'
import { windowState } from '#core/availability'
import type { Window } from '#core/availability'
import type { LensRow, LensView } from '#shared/contracts/lens'
import { count } from '~/shared/words/numbers'
import { sayMoment } from '~/shared/words/times'
import { sayChange, sayNotThere, sayWhy } from '../words/lensWords'

const props = defineProps<{ view: LensView; work: AssignmentId | null; piece: PieceId | null }>()
defineEmits<{ at: [at: Instant] }>()
const shown = computed(() => props.view.rows.filter((r) => r.notThere === null && isLookedAt(r)))
const hidden = computed(() => props.view.rows.filter((r) => r.notThere !== null))
const isOver = (of: Window) => windowState(of, props.view.at).state === 'closed'
/** Pieces of the work that is open at the left; when it is the list, of all that is not over. */
function isLookedAt(r: LensRow): boolean {
  if (props.work === null) return r.terms !== null && !isOver(r.terms)
  return r.assignmentId === props.work && (props.piece === null || r.pieceId === props.piece)
}
const names = computed(() => {
  const { classes, groups } = props.view
  return new Map<string, string>([...classes, ...groups].map(({ id, name }) => [id, name]))
})
const nameOf = (id: string) => names.value.get(id) ?? 'of another class'
const FIELDS = ['opens', 'due', 'closes', 'putAway'] as const
const WORDS = { opens: 'Opens', due: 'Due', closes: 'Closes', putAway: 'Put away' } as const
const datesOf = (r: LensRow) =>
  FIELDS.flatMap((field) => {
    const at = r.terms?.[field] ?? null
    return at === null ? [] : [`${WORDS[field]} ${sayMoment(at, props.view.zone, field)}`]
  })
</script>

<template>
  <aside class="grid gap-6 content-start">
    <section aria-labelledby="lens-why" data-hook="lens-why">
      <h2 id="lens-why" class="mb-2">Why so</h2>
      <p v-if="shown.length === 0" class="said">Nothing is there at this time.</p>
      <ul class="grid gap-3">
        <li v-for="r in shown" :key="`${r.assignmentId} ${r.pieceId}`">
          <NuxtLink class="plain font-semibold" :to="`/work/${r.assignmentId}`">{{
            r.pieceTitle ? `${r.title}: ${r.pieceTitle}` : r.title
          }}</NuxtLink>
          <p class="said">{{ datesOf(r).join('. ') || 'Without dates' }}</p>
          <ul>
            <li v-for="w in r.why" :key="`${w.level} ${w.sourceId}`" class="text-sm">
              {{ sayWhy(w, nameOf) }}
            </li>
          </ul>
        </li>
      </ul>
    </section>
    <section aria-labelledby="lens-not" data-hook="lens-not-there">
      <h2 id="lens-not" class="mb-2">Not there</h2>
      <p v-if="hidden.length === 0" class="said">Everything that goes to their classes is there.</p>
      <ul class="grid gap-2">
        <li v-for="r in hidden" :key="`${r.assignmentId} ${r.pieceId}`">
          <NuxtLink class="plain" :to="`/work/${r.assignmentId}`">{{
            r.pieceTitle ? `${r.title}: ${r.pieceTitle}` : r.title
          }}</NuxtLink>
          <p v-if="r.notThere" class="said">{{ sayNotThere(r.notThere, view.zone) }}</p>
        </li>
      </ul>
      <p v-if="view.hiddenClasses > 0" class="said mt-2">
        {{ count(view.hiddenClasses, 'other class', 'other classes') }} of theirs are not yours to see.
      </p>
    </section>
    <section aria-labelledby="lens-next" data-hook="lens-changes">
      <h2 id="lens-next" class="mb-2">What comes</h2>
      <p v-if="view.changes.length === 0" class="said">Nothing changes after this.</p>
      <ul class="grid gap-1">
        <li v-for="c in view.changes" :key="`${c.at} ${c.field} ${c.title}`" class="text-sm">
          <button type="button" class="when" @click="$emit('at', c.at)">
            {{ sayMoment(c.at, view.zone, c.field) }}
          </button>
          “{{ c.title }}” {{ sayChange(c.field) }}
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
.when {
  color: var(--ui-primary);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  min-height: 24px;
}
</style>

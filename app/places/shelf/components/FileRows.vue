<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ShelfRow } from '#core/formats'
import { count } from '~/shared/words/numbers'
import { sayShortfall } from '../words/shortfalls'
import ReadQuestion from './ReadQuestion.vue'

/** What becomes of each part of a file; those that are not wholly taken come first. */
const props = defineProps<{ rows: readonly ShelfRow[] }>()
/** As many are shown at once: a framework may have thousands. */
const MOST = 200
const OUTCOMES = { refused: 'left out', 'taken-in-part': 'taken in part', taken: 'taken' } as const
const ORDER: Readonly<Record<ShelfRow['outcome'], number>> = { refused: 0, 'taken-in-part': 1, taken: 2 }
const inOrder = computed(() => [...props.rows].sort((a, b) => ORDER[a.outcome] - ORDER[b.outcome]))
const shown = computed(() => inOrder.value.slice(0, isAll.value ? undefined : MOST))
const isAll = ref(false)
const counts = computed(() =>
  (Object.keys(OUTCOMES) as ShelfRow['outcome'][]).flatMap((outcome) => {
    const n = props.rows.filter((r) => r.outcome === outcome).length
    return n === 0 ? [] : [`${n} ${OUTCOMES[outcome]}`]
  }),
)
</script>

<template>
  <div>
    <p class="said mb-1" role="status" data-hook="row-counts">{{ counts.join(', ') }}</p>
    <div class="scroller" tabindex="0" role="region" aria-label="Parts of the file">
      <table class="grid-table">
        <thead>
          <tr>
            <th scope="col">Where</th>
            <th scope="col">What</th>
            <th scope="col">Outcome</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in shown" :key="i" :class="row.outcome">
            <td class="code">{{ row.where }}</td>
            <td>
              <ReadQuestion v-if="row.item" :item="row.item" />
              <template v-else>{{ row.what }}</template>
            </td>
            <td>
              {{ OUTCOMES[row.outcome]
              }}<template v-if="row.because.length">. {{ row.because.map(sayShortfall).join(' ') }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <UButton
      v-if="shown.length < rows.length"
      size="xs"
      color="neutral"
      variant="ghost"
      @click="
        () => {
          isAll = true
        }
      "
      >Show all {{ count(rows.length, 'part') }}</UButton
    >
  </div>
</template>

<style scoped>
.scroller {
  overflow: auto;
  max-height: 60vh;
}
.refused td:last-child {
  color: var(--ui-error);
  font-weight: 600;
}
.taken-in-part td:last-child {
  color: var(--ui-warning);
}
</style>

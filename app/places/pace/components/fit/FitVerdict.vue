<script setup lang="ts">
import type { Shortfall } from '#core/pacing'
import { count, meetingsOf } from '~/shared/words/numbers'
import type { useFitting } from '../../composables/fitting'

/** Whether cuts make the plan fit; where none can, which stretch is short and by how much. */
const props = defineProps<{ fitting: ReturnType<typeof useFitting> }>()
const { got, tooShort, winsBack, stillOut, keep, lesson } = props.fitting
const numberOf = (id: Shortfall['lessonIds'][number]) => lesson(id)?.number || lesson(id)?.title || ''

function stretchOf({ lessonIds, upTo }: Shortfall): string {
  const [first, last] = [lessonIds[0], lessonIds[lessonIds.length - 1]]
  const from = first ? numberOf(first) : ''
  const to = last && last !== first ? ` to ${numberOf(last)}` : ''
  const isOwn = upTo !== null && lessonIds.includes(upTo)
  if (upTo === null) return `${from}${to}`
  return isOwn ? `${from}${to}, by its date` : `${from}${to}, before ${numberOf(upTo)}`
}
</script>

<template>
  <template v-if="got">
    <p v-if="got.fits" class="note-line my-2 fine" role="status">
      The cheapest way that fits exactly: {{ count(got.cuts.length, 'lesson') }} cut,
      {{ meetingsOf(winsBack) }} meetings won back, cost {{ got.price }}.
    </p>
    <div v-else class="grid gap-1 my-2" role="status" data-hook="cannot-fit">
      <p class="note-line needs">
        <span
          >It cannot fit, even with everything at its least{{ keep.size ? ' beside what you keep' : '' }}:
          {{ count(stillOut.length, 'lesson') }} would still have no place.</span
        >
      </p>
      <ul class="text-sm grid gap-0.5">
        <li v-for="(s, i) in tooShort" :key="i" data-hook="short-by">
          <b>{{ stretchOf(s) }}</b>: {{ meetingsOf(s.halves) }}
          {{ s.halves <= 2 ? 'meeting' : 'meetings' }} short at the least.
        </li>
      </ul>
      <p class="said">
        {{
          got.cuts.length === 0
            ? 'No cut would give any lesson a place, so nothing is cut. Move the date, keep less, or add a meeting.'
            : 'Only what gives more lessons a place is cut: core ones first, then useful, then optional.'
        }}
      </p>
    </div>
  </template>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AssignmentId, Instant, PieceId } from '#core/base'
import { fromPublishing, scaleFor } from '#core/availability'
import type { Preview, Recipients } from '#shared/contracts/work'
import WindowLine from '~/shared/charts/WindowLine.vue'
import FoldButton from '~/shared/frame/FoldButton.vue'
import { downloadCells } from '~/shared/wire/download'
import { count } from '~/shared/words/numbers'
import { FIELD_WORDS } from '~/shared/words/refusals'
import { sayMoment } from '~/shared/words/times'
import { asTable, whoRows } from '../whoGetsWhat'

const props = defineProps<{
  preview: Preview
  recipients: Recipients
  /** Titles of the pieces, in order; one alone is not named. */
  pieces: readonly { readonly id: PieceId; readonly title: string }[]
  title: string
  zone: string
  now: Instant
  /** Once learners have it: their names lead to what they see. */
  work: AssignmentId | null
}>()
const open = ref(false)
const word = ref('')
const onlyDiffering = ref(false)
/** Closing is named where it is not simply when it is due. */
const fields = computed(() => {
  const differs = props.preview.who.some((w) => w.terms.closes !== w.terms.due)
  return differs ? (['opens', 'due', 'closes'] as const) : (['opens', 'due'] as const)
})
const several = computed(() => props.pieces.length > 1)
const rows = computed(() => whoRows(props.preview, props.recipients, props.pieces))
const shown = computed(() => {
  const wanted = word.value.trim().toLowerCase()
  return rows.value.filter(
    (r) =>
      (!onlyDiffering.value || r.why.length > 0) &&
      `${r.name} ${r.className} ${r.piece}`.toLowerCase().includes(wanted),
  )
})
const scale = computed(() =>
  scaleFor(
    props.preview.who.map((w) => fromPublishing(w.terms, props.preview.from)),
    props.now,
  ),
)

/** What is shown, as a file for a spreadsheet. */
function download(): Promise<void> {
  const name = props.title.replace(/[^\p{L}\p{N}]+/gu, '-') || 'work'
  return downloadCells(`${name}-who-gets-what.csv`, asTable(shown.value, props.zone))
}
</script>

<template>
  <section v-if="preview.who.length" data-hook="who-gets-what">
    <FoldButton v-model="open" class="font-semibold"
      >Who gets what: {{ count(preview.learners, 'learner') }}, one by one</FoldButton
    >
    <template v-if="open">
      <div class="flex flex-wrap gap-3 items-center mt-2">
        <UInput
          v-model="word"
          class="!w-52"
          icon="i-lucide-search"
          placeholder="Find a learner or class"
          aria-label="Find a learner or class"
          name="find-who"
        />
        <UCheckbox v-model="onlyDiffering" label="Only who differs" data-hook="only-differing" />
        <span class="said" role="status">{{ count(shown.length, 'row') }}</span>
        <UButton
          class="ml-auto"
          size="xs"
          color="neutral"
          variant="outline"
          icon="i-lucide-download"
          data-hook="who-csv"
          @click="download"
          >CSV</UButton
        >
      </div>
      <div class="max-h-96 overflow-auto mt-2">
        <table class="grid-table">
          <thead>
            <tr>
              <th scope="col">Learner</th>
              <th scope="col">Class</th>
              <th v-if="several" scope="col">Piece</th>
              <th v-for="f in fields" :key="f" scope="col">{{ FIELD_WORDS[f] }}</th>
              <th scope="col" class="line">Window</th>
              <th scope="col">Tries</th>
              <th scope="col">Time</th>
              <th scope="col">Why it differs</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="w in shown" :key="w.key">
              <th scope="row" class="font-semibold">
                <NuxtLink v-if="work" class="plain" :to="`/lens?learner=${w.learnerId}&work=${work}`">{{
                  w.name
                }}</NuxtLink>
                <template v-else>{{ w.name }}</template>
              </th>
              <td class="whitespace-nowrap">{{ w.className }}</td>
              <td v-if="several">{{ w.piece }}</td>
              <td v-for="f in fields" :key="f" class="whitespace-nowrap">
                {{ w.terms[f] === null ? '' : sayMoment(w.terms[f]!, zone, f) }}
              </td>
              <td class="line">
                <WindowLine :window="fromPublishing(w.terms, preview.from)" :scale="scale" :at="now" />
              </td>
              <td>{{ w.terms.maxAttempts ?? 'any' }}</td>
              <td>{{ w.terms.timeLimitMinutes === null ? '' : `${w.terms.timeLimitMinutes} min` }}</td>
              <td class="said">{{ w.why.join(', ') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.line {
  min-width: 7rem;
}
</style>

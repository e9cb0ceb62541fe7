<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { piecesForBand } from '#core/evidence'
import { ShowStandard } from '#shared/contracts/library'
import type { PieceCard } from '#shared/contracts/library'
import type { MapColumn, StandardsMap } from '#shared/contracts/standardsMap'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import EvidencePanel from '../EvidencePanel.vue'
import GivePieces from '../GivePieces.vue'
import { BANDS, BAND_WORDS, saySeen, sayTaught } from '../../standardWords'
import type { Where } from '../../standardWords'

/** One standard: how many stand where and who, and what to give to those who are in one place. */
const props = defineProps<{ map: StandardsMap; column: MapColumn }>()
const emit = defineEmits<{ close: [] }>()
const pieces = shallowRef<readonly PieceCard[] | null>(null)
const problem = shallowRef('')
watch(
  () => props.column.code,
  async (code) => {
    const reply = await call(ShowStandard, { params: { code } })
    if (code !== props.column.code) return
    pieces.value = reply.ok ? reply.value.pieces : []
    problem.value = reply.ok || reply.error.code === 'access/not-found' ? '' : sayRefusal(reply.error)
  },
  { immediate: true },
)
const nameOf = computed(() => new Map(props.map.learners.map((l) => [l.id, l.name])))
const bands = computed(() =>
  BANDS.map((band) => {
    const ids = props.column.spread.who[band]
    return { band, ids, names: ids.map((id) => nameOf.value.get(id) ?? '').join(', ') }
  }),
)
/** Whom to give something: the weakest of whom there are any, unless one says otherwise. */
const asked = shallowRef<Where | null>(null)
const to = computed(() => asked.value ?? BANDS.find((b) => props.column.spread.who[b].length > 0) ?? 'low')
const ids = computed(() => props.column.spread.who[to.value])
const CHOICES = computed(() =>
  BANDS.filter((b) => props.column.spread.who[b].length > 0).map((value) => ({
    value,
    label: BAND_WORDS[value],
  })),
)
const fitting = computed(() => piecesForBand(pieces.value ?? [], to.value))
const query = computed(() => ({
  learners: ids.value.join(','),
  class: props.map.classId,
  ...(to.value === 'low' ? { because: 'below-60' } : {}),
}))
const about = computed(
  () => `${sayTaught(props.column, props.map.zone)} · ${saySeen(props.column, props.map.zone)}`,
)
</script>

<template>
  <EvidencePanel
    label="One standard"
    :title="column.code"
    :about="about"
    close-label="Close the standard"
    data-hook="of-standard"
    @close="emit('close')"
  >
    <p class="mt-2">{{ column.text || 'No framework of your school has this code.' }}</p>
    <p v-if="column.lessons.length" class="said mt-1">
      Taught in {{ column.lessons.join(', ') }}.
      <NuxtLink class="plain" :to="{ path: '/shelf', query: { by: 'standards', standard: column.code } }"
        >All about it</NuxtLink
      >
    </p>
    <ul class="bands">
      <li v-for="p in bands" :key="p.band" :class="p.band" :data-hook="`band-${p.band}`">
        <span class="n">{{ p.ids.length }}</span>
        <span
          ><b>{{ BAND_WORDS[p.band] }}</b>
          <span v-if="p.ids.length && p.ids.length < map.learners.length" class="said block">{{
            p.names
          }}</span>
          <span v-else-if="p.ids.length" class="said block">everybody</span></span
        >
      </li>
    </ul>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
    <section v-else-if="pieces && map.learners.length" class="grid gap-2" data-hook="give-on-standard">
      <h3>Give something to {{ count(ids.length, 'learner') }}</h3>
      <ChoiceButtons
        label="Who"
        :items="CHOICES"
        :model-value="to"
        @update:model-value="
          (next) => {
            asked = next
          }
        "
      />
      <p v-if="!fitting.length" class="said">The shelf has no piece on it for them.</p>
      <GivePieces :pieces="fitting" :who="count(ids.length, 'learner')" :query="query" hook="fitting" />
    </section>
  </EvidencePanel>
</template>

<style scoped>
.bands {
  display: grid;
  gap: 1px;
  margin: 0.9rem 0;
}
.bands li {
  display: grid;
  grid-template-columns: 2.4rem 1fr;
  gap: 0.5rem;
  padding: 0.4rem 0.5rem;
  background: var(--ui-bg);
}
.bands .low {
  background: var(--share-low);
}
.bands .high {
  background: var(--share-high);
}
.bands .n {
  font: 650 1.05rem var(--font-display);
  font-variant-numeric: tabular-nums;
  text-align: right;
}
</style>

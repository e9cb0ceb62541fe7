<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { ClassId, ResourceId } from '#core/base'
import { versionFor } from '#core/versions'
import { ShowTrailSheet } from '#shared/contracts/versions'
import type { TrailSheet } from '#shared/contracts/versions'
import { useAddress } from '~/shared/frame/address'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import PrintedVersion from './components/PrintedVersion.vue'
import { usePieceVersions } from './composables/pieceVersions'

/** All versions of a piece as sheets to print: one of each, or one for each learner of a class with their name. */
const address = useAddress()
const { core, trails, problem, load, layerOf, isMade } = usePieceVersions(
  address.idNeeded<ResourceId>('piece'),
)
const overview = useOverview()
onMounted(() => Promise.all([load(), overview.load()]))
useHead({
  title: computed(() => `Sheets of ${core.value?.title ?? 'a piece'}`),
  style: [{ key: 'page', innerHTML: '@page { size: A4 portrait; margin: 14mm 14mm 16mm }' }],
})
const EACH = 'each'
const whose = ref(EACH)
const classes = computed(() => overview.overview?.classes ?? [])
const choices = computed(() => [
  { value: EACH, label: 'One of each version' },
  ...classes.value.map((c) => ({ value: c.id as string, label: `One for each learner of ${c.name}` })),
])
const sheet = shallowRef<TrailSheet | null>(null)
const trouble = ref('')
watch(whose, async (to) => {
  sheet.value = null
  trouble.value = ''
  if (to === EACH) return
  const reply = await call(ShowTrailSheet, { params: { classId: to as ClassId } })
  if (whose.value !== to) return
  if (reply.ok) sheet.value = reply.value
  else trouble.value = sayRefusal(reply.error)
})
const made = computed(() => new Set(trails.value.filter((t) => isMade(t.id)).map((t) => t.id)))
const sheets = computed(() => {
  if (whose.value === EACH)
    return trails.value
      .filter((t, i) => i === 0 || made.value.has(t.id))
      .map((t) => ({ key: t.id as string, name: '', layer: layerOf(t.id) }))
  return (sheet.value?.rows ?? []).map((row) => {
    const given = versionFor(trails.value, row.trailId, made.value) ?? trails.value[0]?.id
    return { key: row.learnerId as string, name: row.name, layer: layerOf(given ?? row.trailId) }
  })
})
const print = () => window.print()
</script>

<template>
  <p v-if="problem" class="note-line needs m-5" role="alert">{{ problem }}</p>
  <div v-else-if="core" class="page">
    <header class="controls" data-print="hide">
      <div class="flex-1">
        <p class="said">
          <NuxtLink class="plain" :to="{ path: '/shelf-versions', query: { piece: core.id } }"
            >Versions</NuxtLink
          >
        </p>
        <h1>Sheets to print</h1>
        <p class="said">No sheet says which version it is.</p>
      </div>
      <USelect v-model="whose" class="w-80" :items="choices" aria-label="For whom" data-hook="sheets-for" />
      <UButton icon="i-lucide-printer" data-hook="print" @click="print">Print</UButton>
    </header>
    <p v-if="trouble" class="note-line needs" role="alert">{{ trouble }}</p>
    <PrintedVersion v-for="s in sheets" :key="s.key" :core="core" :layer="s.layer" :name="s.name" />
  </div>
  <p v-else class="said p-5">Opening …</p>
</template>

<style scoped>
.page {
  padding: 1.1rem 1.25rem 3rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.4rem;
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: end;
}
@media print {
  .page {
    display: block;
    padding: 0;
  }
}
</style>

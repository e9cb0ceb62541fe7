<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted } from 'vue'
import type { ResourceId, TrailId } from '#core/base'
import CompareVersions from './components/CompareVersions.vue'
import LayerEditor from './components/LayerEditor.vue'
import { usePieceVersions } from './composables/pieceVersions'
import { useAddress } from '~/shared/frame/address'

/** The versions of one piece: each written on its own, all of them beside each other. */
const address = useAddress()
const resourceId = address.idNeeded<ResourceId>('piece')
const { core, trails, problem, load, layerOf, isMade, mayDrop, keep, drop } = usePieceVersions(resourceId)
onMounted(load)
useHead({ title: computed(() => `Versions of ${core.value?.title ?? 'a piece'}`) })
const COMPARE = 'compare'
const made = computed(() => trails.value.filter((t) => isMade(t.id)))
/** Which version is open: the first that is made; while none is, the first one that is more than the piece itself. */
const shown = computed(() => {
  const first = made.value[0] ?? trails.value[1] ?? trails.value[0]
  return address.text('show') ?? first?.id ?? ''
})
const trail = computed(() => trails.value.find((t) => t.id === shown.value) ?? null)
function show(what: string): void {
  void address.put({ show: what })
}
const columns = computed(() =>
  trails.value.map((t) => ({ id: t.id, name: t.name, layer: layerOf(t.id), isMade: isMade(t.id) })),
)
const sheets = computed(() => ({ path: '/shelf-sheets', query: { piece: resourceId } }))
</script>

<template>
  <p v-if="problem" class="note-line needs m-5" role="alert">
    {{ problem }} <NuxtLink class="plain" to="/shelf">The shelf</NuxtLink>
  </p>
  <div v-else-if="core" class="page">
    <header>
      <div class="flex-1">
        <p class="said">
          <NuxtLink class="plain" :to="{ path: '/shelf', query: { piece: core.id } }">{{
            core.title
          }}</NuxtLink>
        </p>
        <h1>Versions</h1>
      </div>
      <UButton color="neutral" variant="outline" icon="i-lucide-printer" :to="sheets" data-hook="to-sheets"
        >Sheets to print</UButton
      >
    </header>
    <div class="flex flex-wrap gap-1 items-center" role="group" aria-label="Which version">
      <span class="said mr-1">From least support to most:</span>
      <UButton
        v-for="t in trails"
        :key="t.id"
        size="sm"
        color="neutral"
        :variant="t.id === shown ? 'solid' : 'outline'"
        :aria-pressed="t.id === shown"
        :data-hook="`trail-${t.id}`"
        @click="show(t.id)"
        >{{ t.name }}<span v-if="!isMade(t.id)" class="font-normal">as it is</span></UButton
      >
      <UButton
        size="sm"
        color="neutral"
        class="ml-3"
        :variant="shown === COMPARE ? 'solid' : 'outline'"
        :aria-pressed="shown === COMPARE"
        :disabled="made.length === 0"
        data-hook="compare"
        @click="show(COMPARE)"
        >Compare all</UButton
      >
    </div>
    <CompareVersions v-if="shown === COMPARE" :core="core" :versions="columns" />
    <LayerEditor
      v-else-if="trail"
      :key="trail.id"
      :core="core"
      :trail="trail"
      :layer="layerOf(trail.id)"
      :is-made="isMade(trail.id)"
      :may-drop="mayDrop(trail.id)"
      :others="columns.filter((c) => c.id !== trail!.id && c.isMade)"
      :keep="(layer) => keep(trail!.id as TrailId, layer)"
      :drop="() => drop(trail!.id as TrailId)"
    />
  </div>
  <p v-else class="said p-5">Opening …</p>
</template>

<style scoped>
.page {
  padding: 1.1rem 1.25rem 3rem;
  display: grid;
  gap: 0.9rem;
  grid-template-columns: minmax(0, 1fr);
}
header {
  display: flex;
  gap: 1rem;
  align-items: flex-start;
}
</style>

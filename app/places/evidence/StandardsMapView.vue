<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import { ShowStandardsMap } from '#shared/contracts/standardsMap'
import type { StandardsMap } from '#shared/contracts/standardsMap'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import MapTable from './components/standards/MapTable.vue'
import StandardPanel from './components/standards/StandardPanel.vue'
import { sayMap } from './standardWords'

/** What was taught and not shown, or shown and forgotten: a class's learners on the standards of its plan and work. */
const overview = useOverview()
const address = useAddress()
const map = shallowRef<StandardsMap | null>(null)
const problem = shallowRef('')
const classes = computed(() => overview.overview?.classes ?? [])
const classId = computed(() => {
  const { value } = classes
  return (address.text('class') ?? value.find((c) => c.mine)?.id ?? value[0]?.id ?? null) as ClassId | null
})
useHead({ title: computed(() => `Standards of ${map.value?.name ?? 'a class'}`) })
async function load(): Promise<void> {
  const id = classId.value
  if (!id) return
  const reply = await call(ShowStandardsMap, { params: { classId: id } })
  if (id !== classId.value) return
  problem.value = reply.ok ? '' : sayRefusal(reply.error)
  if (reply.ok) map.value = reply.value
}
onMounted(() => overview.load())
watch(
  classId,
  () => {
    map.value = null
    void load()
  },
  { immediate: true },
)
const code = computed(() => address.text('standard'))
const chosen = computed(() => map.value?.columns.find((c) => c.code === code.value) ?? null)
/** Pressing a standard opens it, pressing it again closes it. */
const choose = (next: string) => void address.put({ standard: next === code.value ? undefined : next })
const open = (next: string) => void address.put({ standard: next })
const close = () => void address.put({ standard: undefined })
</script>

<template>
  <div class="evidence-page">
    <header class="head">
      <div>
        <p class="said">
          <NuxtLink class="plain" :to="{ path: '/evidence', query: classId ? { class: classId } : {} }"
            >Evidence by work</NuxtLink
          >
        </p>
        <h1>Standards</h1>
      </div>
      <ChoiceButtons
        label="Class"
        :items="classes.map((c) => ({ value: c.id, label: c.name }))"
        :model-value="classId"
        @update:model-value="address.put({ class: $event ?? undefined })"
      />
    </header>
    <p v-if="problem" class="note-line needs m-4" role="alert">{{ problem }}</p>
    <p v-else-if="overview.overview && classes.length === 0" class="p-5">
      No class yet. <NuxtLink class="plain" to="/classes">Make a class</NuxtLink> first.
    </p>
    <p v-else-if="map && map.columns.length === 0" class="p-5" data-hook="no-standards">
      No lesson of this class’s plan serves a standard, and nothing that was handed in asks for one. Standards
      are chosen with each question of a piece.
      <NuxtLink class="plain" to="/shelf">Go to the shelf</NuxtLink>.
    </p>
    <template v-else-if="map">
      <p class="px-4 py-2" data-hook="map-sentence">{{ sayMap(map) }}</p>
      <div class="split" :class="{ two: chosen }">
        <MapTable :map="map" :chosen="code" @choose="choose" @open="open" />
        <StandardPanel v-if="chosen" :key="chosen.code" :map="map" :column="chosen" @close="close" />
      </div>
    </template>
    <p v-else-if="classId" class="said p-5">Opening …</p>
  </div>
</template>

<style scoped src="./evidencePage.css"></style>

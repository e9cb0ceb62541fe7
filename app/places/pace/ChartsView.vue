<script setup lang="ts">
import { useHead } from '#imports'
import { computed, onMounted } from 'vue'
import type { ClassId } from '#core/base'
import { useAddress } from '~/shared/frame/address'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useServerNow } from '~/shared/session/serverNow'
import { zoneNamed } from '~/shared/words/times'
import DriftOfClasses from './components/charts/DriftOfClasses.vue'
import FitOfStretches from './components/charts/FitOfStretches.vue'
import ForecastOfClass from './components/charts/ForecastOfClass.vue'
import LostTime from './components/charts/LostTime.vue'
import { useDesk } from './stores/desk'

useHead({ title: 'Fit, drift and forecast' })
const desk = useDesk()
const address = useAddress()
const now = useServerNow(60_000)
onMounted(() => desk.load())

const withPlan = computed(() => desk.columns.filter((c) => c.plan && c.layout))
const chosenId = computed(() => address.id<ClassId>('class') ?? withPlan.value[0]?.of.id ?? null)
const column = computed(() => withPlan.value.find((c) => c.of.id === chosenId.value) ?? null)
const today = computed(() => (desk.year ? zoneNamed(desk.zone).local(now.value).on : null))
function choose(id: ClassId | null): void {
  if (id) void address.set({ class: id })
}
</script>

<template>
  <div class="p-5 grid gap-6 max-w-6xl">
    <header class="flex flex-wrap items-center gap-3">
      <div class="flex-1">
        <p class="said"><NuxtLink class="plain" to="/pace">Pace</NuxtLink></p>
        <h1>Fit, drift and forecast</h1>
      </div>
      <ChoiceButtons
        label="Class"
        :items="withPlan.map((c) => ({ value: c.of.id, label: c.of.shortName }))"
        :model-value="chosenId"
        @update:model-value="choose"
      />
    </header>
    <p v-if="desk.loaded && withPlan.length === 0" class="said">
      No class has a plan yet. <NuxtLink class="plain" to="/classes/plans">Lay one out</NuxtLink> first.
    </p>
    <template v-if="column">
      <div class="grid gap-6 lg:grid-cols-2">
        <FitOfStretches :column="column" />
        <ForecastOfClass :column="column" :today="today" />
      </div>
      <DriftOfClasses :columns="withPlan" :today="today" />
      <LostTime :columns="withPlan" />
    </template>
  </div>
</template>

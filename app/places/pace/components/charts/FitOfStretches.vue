<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { courseOf, reachesOf } from '#core/pacing'
import { count } from '~/shared/words/numbers'
import { fitOption } from '../../chartOptions'
import { useInks } from '../../composables/inks'
import { useDesk } from '../../stores/desk'
import type { DeskColumn } from '../../stores/deskColumn'
import { nameOfReach } from '../../words/reaches'
import StretchTable from '../StretchTable.vue'

/** Meetings there are and meetings needed, up to each fixed date. */
const props = defineProps<{ column: DeskColumn }>()
const ChartBox = defineAsyncComponent(() => import('~/shared/charts/ChartBox.vue'))
const desk = useDesk()
const inks = useInks()
const reaches = computed(() => {
  const { plan, calendar, of } = props.column
  if (!plan) return []
  const course = courseOf(plan, calendar.meetings, of.pacing, { terms: desk.year?.terms ?? [] })
  return reachesOf(course).filter((r) => r.lessonIds.length > 0)
})
const bars = computed(() => reaches.value.map((r) => ({ ...r, name: nameOfReach(r, props.column) })))
</script>

<template>
  <section aria-labelledby="fit-h">
    <h2 id="fit-h">{{ column.of.name }}: fit of each stretch</h2>
    <p class="said mb-2">
      Meetings there are up to each fixed date, and meetings its lessons need.
      <NuxtLink class="plain" :to="{ path: '/pace/fit', query: { class: column.of.id } }"
        >Make it fit</NuxtLink
      >
    </p>
    <ChartBox
      :option="fitOption(bars, inks)"
      :label="`Fit of ${count(reaches.length, 'stretch', 'stretches')}; the table below has the figures`"
      :height="90 + reaches.length * 44"
    />
    <StretchTable :reaches="reaches" :column="column" />
  </section>
</template>

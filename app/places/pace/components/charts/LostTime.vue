<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { lossesBetween } from '#core/calendar'
import { useInks } from '../../composables/inks'
import { lostOption } from '../../forecastOptions'
import { useDesk } from '../../stores/desk'
import type { DeskColumn } from '../../stores/deskColumn'

/** Meetings lost and shortened in each term, and why. */
const props = defineProps<{ columns: readonly DeskColumn[] }>()
const ChartBox = defineAsyncComponent(() => import('~/shared/charts/ChartBox.vue'))
const desk = useDesk()
const inks = useInks()
const lost = computed(() =>
  props.columns.flatMap((c) =>
    (desk.year?.terms ?? []).map((t) => {
      const inTerm = c.calendar.lost.filter((l) => t.firstOn <= l.on && l.on <= t.lastOn)
      const byCause: Record<string, number> = {}
      for (const l of inTerm) byCause[l.cause] = (byCause[l.cause] ?? 0) + 1
      const why = new Map<string, number>()
      for (const l of inTerm) why.set(l.because, (why.get(l.because) ?? 0) + 1)
      return {
        name: `${c.of.shortName}, ${t.name}`,
        byCause,
        ...lossesBetween(c.calendar, t.firstOn, t.lastOn),
        why: [...why].map(([w, n]) => `${w} ${n}`).join(', '),
      }
    }),
  ),
)
</script>

<template>
  <section aria-labelledby="lo-h">
    <h2 id="lo-h">Lost time</h2>
    <ChartBox
      :option="lostOption(lost, inks)"
      label="Meetings lost and shortened in each term; the table below has the figures"
      :height="70 + lost.length * 26"
    />
    <details>
      <summary class="cursor-pointer said">In figures, with reasons</summary>
      <table class="grid-table">
        <thead>
          <tr>
            <th scope="col">Class and term</th>
            <th scope="col">Meetings</th>
            <th scope="col">Lost</th>
            <th scope="col">Shortened</th>
            <th scope="col">Why lost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="l in lost" :key="l.name">
            <th scope="row">{{ l.name }}</th>
            <td>{{ l.meetings }}</td>
            <td>{{ l.lost }}</td>
            <td>{{ l.shortened }}</td>
            <td>{{ l.why }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { layOut, meetingsPlanned, withoutPlace } from '#core/pacing'
import type { Plan } from '#core/pacing'
import { useDesk } from '~/places/pace'
import { count, meetingsOf } from '~/shared/words/numbers'

/** What a plan comes to, and whether it fits each class that follows it. */
const props = defineProps<{ plan: Plan }>()
const desk = useDesk()

/** How the draft would lie in each class that follows the plan. */
const fits = computed(() => {
  const { plan } = props
  return desk.columns
    .filter((c) => c.of.planId === plan.id && desk.year)
    .map((c) => {
      const layout = layOut(plan, c.calendar.meetings, {
        pacing: c.of.pacing,
        terms: desk.year?.terms ?? [],
      })
      return {
        name: c.of.shortName,
        out: withoutPlace(layout).length,
        slack: layout.slackHalves,
      }
    })
})
</script>

<template>
  <p class="said">
    {{ count(plan.lessons.length, 'lesson') }}, {{ meetingsPlanned(plan.lessons) }} meetings<template
      v-for="f in fits"
      :key="f.name"
    >
      · {{ f.name }}:
      <span :class="{ 'text-error font-semibold': f.out > 0 }">{{
        f.out > 0 ? `${f.out} do not fit` : `${meetingsOf(f.slack)} slack`
      }}</span></template
    >
  </p>
</template>

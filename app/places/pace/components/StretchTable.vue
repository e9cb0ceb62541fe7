<script setup lang="ts">
import type { Reach } from '#core/pacing'
import { meetingsOf } from '~/shared/words/numbers'
import type { DeskColumn } from '../stores/deskColumn'
import { nameOfReach } from '../words/reaches'

/** Meetings there are and meetings needed, up to each fixed date. */
defineProps<{ reaches: readonly Reach[]; column: DeskColumn }>()
</script>

<template>
  <table class="grid-table">
    <thead>
      <tr>
        <th scope="col">Stretch</th>
        <th scope="col">Lessons</th>
        <th scope="col">Meetings there are</th>
        <th scope="col">Needed</th>
        <th scope="col">At least</th>
        <th scope="col">Slack</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(r, i) in reaches" :key="i">
        <th scope="row">{{ nameOfReach(r, column) }}</th>
        <td>{{ r.lessonIds.length }}</td>
        <td>{{ meetingsOf(r.capacityHalves) }}</td>
        <td>{{ meetingsOf(r.needHalves) }}</td>
        <td>{{ meetingsOf(r.leastHalves) }}</td>
        <td :class="{ 'text-error font-semibold': r.slackHalves < 0 }">{{ meetingsOf(r.slackHalves) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<script setup lang="ts">
import type { EarlierFollowUp } from '#shared/contracts/followUp'
import { count } from '~/shared/words/numbers'
import { sayMoment } from '~/shared/words/times'
import { sayBecame } from '../../followUpWords'

/** What was given after this check before, and what became of it. */
defineProps<{ earlier: readonly EarlierFollowUp[]; zone: string }>()
</script>

<template>
  <section v-if="earlier.length" class="grid gap-3" data-hook="earlier">
    <h2>What became of it</h2>
    <div v-for="work in earlier" :key="work.assignmentId">
      <p>
        <NuxtLink class="plain font-semibold" :to="`/work/${work.assignmentId}`">{{ work.title }}</NuxtLink>
        <span class="said">
          · {{ work.done }} of {{ count(work.learners, 'learner') }} handed something in
          <template v-if="work.publishedAt"> · given {{ sayMoment(work.publishedAt, zone) }}</template></span
        >
      </p>
      <ul class="mt-1 text-sm">
        <li v-for="b in work.became" :key="b.code">{{ sayBecame(b) }}.</li>
      </ul>
    </div>
  </section>
</template>

<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { ListLately } from '#shared/contracts/lens'
import type { LatelyAt } from '#shared/contracts/lens'
import { call } from '~/shared/wire/call'

/** Whom one likely looks for: learners who are at something or handed it in last. */
const learners = shallowRef<readonly LatelyAt[]>([])
onMounted(async () => {
  const reply = await call(ListLately)
  if (reply.ok) learners.value = reply.value.learners
})
</script>

<template>
  <section v-if="learners.length" aria-label="Lately at work" data-hook="lately">
    <h2>Lately at work</h2>
    <ul>
      <li v-for="l in learners" :key="l.learnerId">
        <NuxtLink class="plain inline-block" :to="{ path: '/lens', query: { learner: l.learnerId } }">{{
          l.name
        }}</NuxtLink>
        <span class="said"
          >{{ l.className }} · {{ l.title }}, {{ l.submittedAt === null ? 'at it' : 'handed in' }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  max-width: 44rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.8rem;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--ui-border);
}
</style>

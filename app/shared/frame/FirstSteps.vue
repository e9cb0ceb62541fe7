<script setup lang="ts">
import { onMounted } from 'vue'
import { useOverview } from '../session/overview'

const overview = useOverview()
onMounted(() => void overview.load(true))
</script>

<template>
  <section v-if="overview.overview" class="max-w-xl mx-auto p-8" data-hook="first-steps">
    <h2>From an empty workspace to a planned year</h2>
    <ol class="steps mt-4">
      <li v-for="s in overview.firstSteps" :key="s.word" :class="{ done: s.done }">
        <UIcon
          :name="s.done ? 'i-lucide-check' : 'i-lucide-circle'"
          class="size-4 mt-0.5"
          aria-hidden="true"
        />
        <div class="flex-1">
          <strong>{{ s.word }}</strong>
          <p class="said">{{ s.about }}</p>
        </div>
        <UButton v-if="!s.done && s.next" :to="s.to" data-hook="next-step">{{ s.act }}</UButton>
        <span v-else-if="s.done" class="said">done</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.steps {
  display: grid;
}
.steps li {
  display: flex;
  gap: 0.75rem;
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--ui-border);
  align-items: center;
}
.steps li.done strong {
  color: var(--ui-text-muted);
  font-weight: 500;
}
</style>

<script setup lang="ts">
import type { LearnerCard } from '#core/work'
import { toHtml } from '~/shared/words/markdown'

/** What is said of the work as a whole; instructions stay in sight until it is begun. */
defineProps<{ work: LearnerCard; isNew: boolean }>()
</script>

<template>
  <div class="grid gap-2 mb-3" data-hook="about">
    <p v-if="work.about.objective" class="objective">{{ work.about.objective }}</p>
    <div v-if="work.about.outcomes.length">
      <p class="said">Afterwards you can</p>
      <ul class="outcomes">
        <li v-for="o in work.about.outcomes" :key="o">{{ o }}</li>
      </ul>
    </div>
    <p v-if="work.note">{{ work.note }}</p>
    <p v-if="work.about.link">
      <a class="plain" :href="work.about.link" target="_blank" rel="noopener noreferrer">Open the meeting</a>
      <span class="said"> in a new tab</span>
    </p>
    <section v-if="work.about.instructions && isNew" class="before" aria-labelledby="before">
      <h2 id="before">Before you begin</h2>
      <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
      <div class="prose" v-html="toHtml(work.about.instructions)" />
    </section>
    <details v-else-if="work.about.instructions">
      <summary>Instructions</summary>
      <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
      <div class="prose" v-html="toHtml(work.about.instructions)" />
    </details>
  </div>
</template>

<style scoped>
.objective {
  font-weight: 600;
}
.outcomes {
  list-style: disc;
  padding-left: 1.2rem;
}
.before {
  border-left: 4px solid var(--ui-primary);
  padding: 0.4rem 0 0.4rem 0.9rem;
}
summary {
  cursor: pointer;
  color: var(--ui-primary);
}
</style>

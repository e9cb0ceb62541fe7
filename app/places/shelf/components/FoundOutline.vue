<script setup lang="ts">
import type { BookUnit } from '#core/library'
import { count } from '~/shared/words/numbers'

/** The outline of a textbook that was found in a file: units closed, so that a long one can be seen at once. */
defineProps<{ units: readonly BookUnit[] }>()
</script>

<template>
  <div data-hook="found-outline">
    <details v-for="unit in units" :key="unit.number">
      <summary>
        <b>{{ unit.number }} {{ unit.title }}</b>
        <span class="said">{{ count(unit.lessons.length, 'lesson') }}</span>
      </summary>
      <ol>
        <li v-for="lesson in unit.lessons" :key="lesson.id">
          <span class="code">{{ lesson.number }}</span> {{ lesson.title }}
        </li>
      </ol>
    </details>
  </div>
</template>

<style scoped>
details {
  border-bottom: 1px solid var(--ui-border);
  padding: 0.3rem 0;
}
summary {
  display: flex;
  gap: 0.8rem;
  justify-content: space-between;
  cursor: pointer;
}
ol {
  padding: 0.3rem 0 0.3rem 1.2rem;
}
</style>

<script setup lang="ts">
import { ref } from 'vue'
import type { BookUnit } from '#core/library'
import { count } from '~/shared/words/numbers'
import FoldRow from './FoldRow.vue'

/** The outline of a textbook that was found in a file: units closed, so that a long one can be seen at once. */
defineProps<{ units: readonly BookUnit[] }>()
const open = ref<string | null>(null)
function toggle(number: string): void {
  open.value = open.value === number ? null : number
}
</script>

<template>
  <div data-hook="found-outline">
    <template v-for="unit in units" :key="unit.number">
      <FoldRow
        :title="`${unit.number} ${unit.title}`"
        :about="count(unit.lessons.length, 'lesson')"
        :is-open="open === unit.number"
        @toggle="toggle(unit.number)"
      />
      <ol v-if="open === unit.number" class="lessons">
        <li v-for="lesson in unit.lessons" :key="lesson.id">
          <span class="code">{{ lesson.number }}</span> {{ lesson.title }}
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.lessons {
  padding: 0.25rem 0 0.25rem 1.5rem;
}
</style>

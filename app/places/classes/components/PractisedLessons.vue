<script setup lang="ts">
import type { PractisedBook, PractisedPiece } from '#shared/contracts/evidence'
import { count, percent } from '~/shared/words/numbers'

/** What was practised of a textbook, lesson by lesson: who, how often, and where it went wrong. */
defineProps<{ lessons: PractisedBook['lessons'] }>()
function sayLearner({ name, times, ratio }: PractisedPiece['learners'][number]): string {
  const often = times > 1 ? ` ${times} times` : ''
  return ratio === null ? `${name}${often}` : `${name}${often}, ${percent(ratio)}`
}
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="What was practised">
    <table class="grid-table">
      <thead>
        <tr>
          <th scope="col">Lesson</th>
          <th scope="col">Piece</th>
          <th scope="col">Times</th>
          <th scope="col">Who, and their last time</th>
          <th scope="col">Mean</th>
          <th scope="col">Went wrong</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="lesson in lessons" :key="lesson.number">
          <tr v-for="(p, i) in lesson.pieces" :key="p.id">
            <th v-if="i === 0" scope="rowgroup" :rowspan="lesson.pieces.length" class="lesson">
              {{ lesson.number }} {{ lesson.title }}
            </th>
            <td>{{ p.title }}</td>
            <td>{{ p.times }}</td>
            <td>
              <ul>
                <li v-for="l in p.learners" :key="l.id">{{ sayLearner(l) }}</li>
              </ul>
            </td>
            <td>{{ p.mean === null ? '' : percent(p.mean) }}</td>
            <td>
              <p v-for="m in p.missed" :key="m.number">
                Question {{ m.number }}: {{ m.stem }}
                <span class="said">{{ count(m.learners, 'learner') }}</span>
              </p>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.lesson {
  max-width: 14rem;
}
</style>

<script setup lang="ts">
import type { LessonId } from '#core/base'
import type { Cut, PlanLesson } from '#core/pacing'
import { sayAmount } from '../../words/ways'

/** The cuts proposed, each with what it costs; any can be taken back. */
const props = defineProps<{
  cuts: readonly Cut[]
  lesson: (id: LessonId) => PlanLesson | undefined
}>()
const emit = defineEmits<{ keep: [cut: Cut] }>()
const name = (id: LessonId) => `${props.lesson(id)?.number ?? ''} ${props.lesson(id)?.title ?? ''}`.trim()
</script>

<template>
  <table class="grid-table" data-hook="cuts">
    <thead>
      <tr>
        <th scope="col">Lesson</th>
        <th scope="col">Weight</th>
        <th scope="col">Length</th>
        <th scope="col">Cost</th>
        <th scope="col"><span class="sr-only">Decide</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="c in cuts" :key="c.lessonId">
        <th scope="row">{{ name(c.lessonId) }}</th>
        <td>{{ lesson(c.lessonId)?.kind === 'buffer' ? 'catch-up' : lesson(c.lessonId)?.weight }}</td>
        <td>{{ sayAmount(c.unit, c.from) }} → {{ c.to === 0 ? 'left out' : sayAmount(c.unit, c.to) }}</td>
        <td>{{ c.price }}</td>
        <td>
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            :aria-label="`Keep ${name(c.lessonId)} as it is`"
            data-hook="keep"
            @click="emit('keep', c)"
            >Keep as it is</UButton
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

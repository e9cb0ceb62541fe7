<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { levelsFor, pointsByCriteria } from '#core/attempts'
import type { CommentId } from '#core/base'
import type { AnswerToScore, KeptComment, ScoreGiven } from '#core/evidence'
import { count } from '~/shared/words/numbers'
import CommentField from './CommentField.vue'

/** What one text is worth by each criterion, what is said to its learner, and whether they go again. */
const props = defineProps<{
  answer: AnswerToScore
  given: ScoreGiven
  /** What was given here while somebody else scored the text, too. */
  mine: ScoreGiven | null
  criterion: number
  comments: readonly KeptComment[]
}>()
const emit = defineEmits<{
  level: [criterion: number, points: number]
  criterion: [at: number]
  give: [change: Partial<ScoreGiven>]
  settle: [which: 'theirs' | 'mine']
  keep: [text: string]
  forget: [id: CommentId]
  leave: []
  next: []
}>()
const comment = useTemplateRef<{ focus: () => void }>('comment')
defineExpose({ focusComment: () => comment.value?.focus() })
const points = computed(() =>
  pointsByCriteria(props.answer.criteria, props.given.levels, props.answer.item.points),
)
const sayLevels = (of: ScoreGiven) => of.levels.map((l) => l ?? '–').join(', ')
const state = computed(() => {
  const { draft, points } = props.answer
  if (draft?.byName) return `Scored by ${draft.byName}, not released`
  if (draft) return 'Not released'
  return points === null ? 'Nothing given yet' : 'Released'
})
</script>

<template>
  <aside class="sheet" aria-label="Score" data-hook="score-sheet">
    <p v-if="mine" class="note-line care" role="alert" data-hook="conflict">
      <span>
        {{ answer.draft?.byName || 'Somebody else' }} scored this text meanwhile: {{ sayLevels(given) }}. You
        gave {{ sayLevels(mine) }}.
        <UButton size="xs" variant="link" data-hook="take-theirs" @click="emit('settle', 'theirs')"
          >Keep theirs</UButton
        ><UButton size="xs" variant="link" data-hook="take-mine" @click="emit('settle', 'mine')"
          >Put mine in its place</UButton
        >
      </span>
    </p>
    <ol>
      <li v-for="(c, i) in answer.criteria" :key="i" :class="{ now: i === criterion }" data-hook="criterion">
        <div class="flex items-baseline gap-2">
          <h3 class="flex-1">{{ c.name || 'Points' }}</h3>
          <span class="said">{{ given.levels[i] ?? '–' }} of {{ c.points }}</span>
        </div>
        <p v-if="c.about" class="said">{{ c.about }}</p>
        <div class="flex flex-wrap gap-1" role="group" :aria-label="c.name || 'Points'">
          <UButton
            v-for="(n, key) in levelsFor(c)"
            :key="n"
            size="sm"
            color="neutral"
            :variant="given.levels[i] === n ? 'solid' : 'outline'"
            :aria-pressed="given.levels[i] === n"
            :title="i === criterion && key < 10 ? `Key ${key}` : undefined"
            :data-hook="`level-${i}-${key}`"
            @focus="emit('criterion', i)"
            @click="emit('level', i, n)"
            >{{ n }}</UButton
          >
        </div>
      </li>
    </ol>
    <p class="sum">
      <strong data-hook="points">{{ points ?? '–' }}</strong> of {{ count(answer.item.points, 'point') }}
      <span class="said">{{ state }}</span>
    </p>
    <CommentField
      ref="comment"
      :key="`${answer.attemptId} ${answer.itemId}`"
      :text="given.comment"
      :kept="comments"
      @text="emit('give', { comment: $event })"
      @keep="emit('keep', $event)"
      @forget="emit('forget', $event)"
      @leave="emit('leave')"
    />
    <UCheckbox
      :model-value="given.again"
      label="Another go"
      description="With the score they get one more try, and go on with what they wrote."
      data-hook="again"
      @update:model-value="emit('give', { again: $event === true })"
    />
    <UButton class="justify-self-start" variant="outline" data-hook="next-text" @click="emit('next')"
      >Next text to score</UButton
    >
    <p class="said keys">
      <kbd>0</kbd>–<kbd>9</kbd> level · <kbd>↑</kbd><kbd>↓</kbd> criterion · <kbd>Enter</kbd> next to score ·
      <kbd>←</kbd><kbd>→</kbd> turn over · <kbd>C</kbd> comment, <kbd>Esc</kbd> back · <kbd>A</kbd> another go
      · <kbd>H</kbd> names · <kbd>PgDn</kbd> read on
    </p>
  </aside>
</template>

<style scoped>
.sheet {
  overflow: auto;
  padding: 0.9rem 1.1rem 1.5rem;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
ol {
  display: grid;
}
li {
  padding: 0.5rem 0.6rem;
  display: grid;
  gap: 0.3rem;
  border-left: 3px solid transparent;
}
li.now {
  border-color: var(--ui-primary);
  background: var(--ui-bg);
}
.sum strong {
  font: 650 1.4rem var(--font-display);
}
.sum .said {
  margin-left: 0.5rem;
}
kbd {
  font: var(--text-xs) var(--font-mono);
  padding: 0 0.25rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 3px;
}
.keys {
  line-height: 1.8;
}
@media (max-width: 900px) {
  .sheet {
    border-left: 0;
    border-top: 1px solid var(--ui-border);
  }
  .keys {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { SeenItem } from '#shared/contracts/learning'
import { toInlineHtml } from '~/shared/words/markdown'
import { markOf } from '../marks'

/** What the rules show of a question that was answered for good. */
const props = defineProps<{ shown: Omit<SeenItem, 'item' | 'answer'>; of: number }>()
const mark = computed(() => (props.shown.points === undefined ? null : markOf(props.shown.points, props.of)))
</script>

<template>
  <div class="result" role="status" data-hook="item-result">
    <p v-if="mark" class="mark">
      <UIcon :name="mark.icon" class="size-4" aria-hidden="true" />{{ mark.word }}
      <span class="said">{{ shown.points }} of {{ of }}</span>
    </p>
    <p v-if="shown.right">
      Right answer: <strong>{{ shown.right }}</strong>
    </p>
    <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
    <p v-if="shown.feedback" v-html="toInlineHtml(shown.feedback)" />
    <p v-if="shown.hint">Hint for your next try: {{ shown.hint }}</p>
    <p v-if="shown.waits">Your teacher will score this.</p>
    <p v-else-if="!mark && !shown.right" class="said">Answered for good.</p>
  </div>
</template>

<style scoped>
.result {
  margin-left: 1.9rem;
  padding: 0.5rem 0.75rem;
  border-left: 3px solid var(--line);
  background: var(--stone-face);
  display: grid;
  gap: 0.2rem;
}
.mark {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  font-weight: 600;
}
</style>

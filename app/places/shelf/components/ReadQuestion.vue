<script setup lang="ts">
import { computed } from 'vue'
import {
  halfRightInWords,
  isChosenAmong,
  isScoredByHand,
  optionsOf,
  rightInWords,
  rightOptions,
} from '#core/library'
import type { Item } from '#core/library'
import { toInlineHtml } from '~/shared/words/markdown'
import { count } from '~/shared/words/numbers'

/** A question of a file as it will be: what it asks, what is right, and what it is worth. */
const props = defineProps<{ item: Item }>()
const wrong = computed(() => {
  const rights = rightOptions(props.item)
  return isChosenAmong(props.item) ? optionsOf(props.item).filter((o) => !rights.includes(o.id)) : []
})
const right = computed(() => {
  const words = rightInWords(props.item)
  if (isScoredByHand(props.item)) return words === '' ? 'scored by you' : `scored by you: ${words}`
  return words
})
const half = computed(() => halfRightInWords(props.item))
</script>

<template>
  <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
  <p class="asks" v-html="toInlineHtml(item.stem)" />
  <p v-if="'passage' in item" class="asks">{{ item.passage }}</p>
  <p class="key">
    <span class="worth">{{ count(item.points, 'point') }}</span><span
      ><span class="sr-only">Right: </span>✓ {{ right }}</span
    ><span v-if="half" class="rest">half: {{ half }}</span
    ><span v-if="wrong.length" class="rest">not: {{ wrong.map((o) => o.text).join(' · ') }}</span>
  </p>
</template>

<style scoped>
.asks {
  max-width: 34rem;
}
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 0.8rem;
  max-width: 34rem;
  font-size: var(--text-sm);
}
.worth,
.rest {
  color: var(--ui-text-muted);
}
</style>

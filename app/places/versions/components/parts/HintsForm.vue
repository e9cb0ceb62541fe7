<script setup lang="ts">
import type { ItemId } from '#core/base'
import type { Resource } from '#core/library'
import type { ItemHint } from '#core/versions'
import { toInlineHtml } from '~/shared/words/markdown'

/** A hint for each question, as far as there is one. */
const props = defineProps<{ core: Resource; hints: readonly ItemHint[] }>()
const emit = defineEmits<{ hints: [hints: readonly ItemHint[]] }>()
const hintOf = (id: ItemId) => props.hints.find((h) => h.itemId === id)?.hint ?? ''
function set(itemId: ItemId, hint: string): void {
  const others = props.hints.filter((h) => h.itemId !== itemId)
  emit('hints', hint.trim() === '' ? others : [...others, { itemId, hint }])
}
</script>

<template>
  <p v-if="core.items.length === 0" class="said">This piece has no questions.</p>
  <ol class="grid gap-2 list-decimal pl-5">
    <li v-for="(item, i) in core.items" :key="item.id">
      <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
      <p class="said" v-html="toInlineHtml(item.stem)" />
      <UInput
        size="sm"
        class="w-full"
        :model-value="hintOf(item.id)"
        maxlength="1000"
        :aria-label="`Hint for question ${i + 1}`"
        @update:model-value="set(item.id, String($event))"
      />
    </li>
  </ol>
</template>

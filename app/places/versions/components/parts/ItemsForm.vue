<script setup lang="ts">
import { computed } from 'vue'
import type { ItemId } from '#core/base'
import type { Resource } from '#core/library'
import { keptItems } from '#core/versions'
import type { KeptItems } from '#core/versions'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { toInlineHtml } from '~/shared/words/markdown'

/** Which questions are asked: all, a share of them, or chosen ones. */
const props = defineProps<{ core: Resource; kept: KeptItems }>()
const emit = defineEmits<{ kept: [kept: KeptItems] }>()
const KINDS = [
  { value: 'all', label: 'All' },
  { value: 'share', label: 'A share' },
  { value: 'chosen', label: 'Chosen ones' },
] as const
const asked = computed(() => keptItems(props.core.items, props.kept).map((i) => i.id))
const kind = computed({
  get: () => props.kept.kind,
  set: (to: KeptItems['kind'] | null) => {
    if (to === 'share') emit('kept', { kind: 'share', percent: 50 })
    else if (to === 'chosen') emit('kept', { kind: 'chosen', itemIds: asked.value })
    else emit('kept', { kind: 'all' })
  },
})
function toggle(id: ItemId): void {
  const itemIds = asked.value.includes(id) ? asked.value.filter((i) => i !== id) : [...asked.value, id]
  emit('kept', { kind: 'chosen', itemIds })
}
</script>

<template>
  <div class="grid gap-2">
    <ChoiceButtons v-model="kind" label="Which questions" :items="KINDS" />
    <div v-if="kept.kind === 'share'" class="flex gap-2 items-center">
      <UInput
        type="number"
        size="sm"
        class="w-24"
        min="10"
        max="100"
        :model-value="kept.percent"
        aria-label="Share in percent"
        @update:model-value="emit('kept', { kind: 'share', percent: Number($event) })"
      />
      <span>% of each standard’s questions</span>
    </div>
    <p class="said">{{ asked.length }} of {{ core.items.length }} asked.</p>
    <ul v-if="kept.kind === 'chosen'" class="grid gap-1">
      <li v-for="(item, i) in core.items" :key="item.id" class="flex gap-2 items-baseline text-sm">
        <UCheckbox
          :model-value="asked.includes(item.id)"
          :aria-label="`Ask question ${i + 1}`"
          @update:model-value="toggle(item.id)"
        />
        <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
        <span v-html="toInlineHtml(item.stem)" />
      </li>
    </ul>
  </div>
</template>

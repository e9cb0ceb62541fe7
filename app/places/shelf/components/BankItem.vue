<script setup lang="ts">
import { computed } from 'vue'
import type { Item, Resource } from '#core/library'
import { nameOfItem, usePickedItems } from '../stores/pickedItems'
import ItemKey from './ItemKey.vue'

/** A question of a bank with its answer, to be picked for a check of one's own. */
const props = defineProps<{ bank: Resource; item: Item; number: number }>()
const items = usePickedItems()
const isPicked = computed(() => items.has(nameOfItem(props.bank.id, props.item)))
</script>

<template>
  <ItemKey :item="item" :number="number">
    <UButton
      size="xs"
      color="neutral"
      class="pick"
      :variant="isPicked ? 'solid' : 'outline'"
      :aria-pressed="isPicked"
      :aria-label="`${isPicked ? 'Picked' : 'Pick'} for a check: question ${number}`"
      :data-hook="`pick-${number}`"
      @click="items.toggle(bank, item)"
      >{{ isPicked ? 'Picked' : 'Pick' }} for a check</UButton
    >
  </ItemKey>
</template>

<style scoped>
.pick {
  margin: 0.4rem 0 0 1.5rem;
}
</style>

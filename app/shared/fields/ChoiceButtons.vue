<script setup lang="ts" generic="T extends string">
/** One of a few, each a button; the one chosen is pressed. */
defineProps<{
  label: string
  items: readonly { readonly value: T; readonly label: string; readonly hook?: string }[]
}>()
const chosen = defineModel<T | null>({ required: true })
</script>

<template>
  <div class="flex flex-wrap gap-1" role="group" :aria-label="label">
    <UButton
      v-for="item in items"
      :key="item.value"
      size="xs"
      color="neutral"
      :variant="item.value === chosen ? 'solid' : 'outline'"
      :aria-pressed="item.value === chosen"
      :data-hook="item.hook"
      @click="
        () => {
          chosen = item.value
        }
      "
      >{{ item.label }}</UButton
    >
  </div>
</template>

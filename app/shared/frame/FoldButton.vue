<script setup lang="ts">
/** Unfolds what stands below it, and folds it again. */
const isOpen = defineModel<boolean>({ required: true })
</script>

<template>
  <UButton
    class="justify-self-start"
    size="xs"
    color="neutral"
    variant="outline"
    :icon="isOpen ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
    :aria-expanded="isOpen"
    @click="
      () => {
        isOpen = !isOpen
      }
    "
    ><slot
  /></UButton>
</template>

<script setup lang="ts">
/** A row that unfolds what stands below it: a unit, a domain; `about` says how much that is. */
defineProps<{ title: string; about: string; isOpen: boolean }>()
defineEmits<{ toggle: [] }>()
</script>

<template>
  <button type="button" class="fold" :aria-expanded="isOpen" @click="$emit('toggle')">
    <UIcon
      :name="isOpen ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
      class="size-4"
      aria-hidden="true"
    /><span class="flex-1">{{ title }}</span
    ><span class="said">{{ about }}</span>
  </button>
</template>

<style scoped>
.fold {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  width: 100%;
  padding: 0.35rem 0;
  text-align: left;
  font-weight: 600;
  cursor: pointer;
  border-bottom: 1px solid var(--ui-border);
}
</style>

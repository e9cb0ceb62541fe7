<script setup lang="ts">
/** What opens beside the grid: a heading, what it is about, and a way to close it. */
defineProps<{ label: string; title: string; about: string; closeLabel: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <aside class="panel" :aria-label="label">
    <header class="flex items-start gap-2">
      <div class="flex-1">
        <h2>{{ title }}</h2>
        <p class="said">{{ about }}</p>
      </div>
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="closeLabel"
        @click="emit('close')"
      />
    </header>
    <slot />
  </aside>
</template>

<style scoped>
.panel {
  overflow: auto;
  padding: 1rem 1.1rem 2rem;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
}
</style>

<script setup lang="ts">
// the mark of a fixed date: three stacked stones
</script>

<template>
  <svg class="cairn" viewBox="0 0 12 12" aria-hidden="true">
    <ellipse cx="6" cy="10" rx="5" ry="1.9" />
    <ellipse cx="6" cy="6.3" rx="3.6" ry="1.7" />
    <ellipse cx="6" cy="3" rx="2.3" ry="1.5" />
  </svg>
</template>

<style scoped>
.cairn {
  width: 0.62rem;
  height: 0.62rem;
  margin-right: -0.2rem;
  flex: none;
  align-self: center;
  fill: var(--ui-text);
}
</style>

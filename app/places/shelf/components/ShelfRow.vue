<script setup lang="ts">
/** A row of the shelf that opens at the right when it is pressed: a piece, a standard. */
defineProps<{ isChosen: boolean }>()
defineEmits<{ choose: [] }>()
</script>

<template>
  <button type="button" class="row" :class="{ chosen: isChosen }" @click="$emit('choose')"><slot /></button>
</template>

<style scoped>
.row {
  width: 100%;
  text-align: left;
  padding: 0.25rem 0.5rem;
  border-left: 3px solid var(--ui-border);
  cursor: pointer;
  font-size: var(--text-sm);
}
.row:hover {
  background: var(--ui-bg-elevated);
}
.row.chosen {
  border-left-color: var(--ui-primary);
  background: var(--ui-bg-accented);
}
</style>

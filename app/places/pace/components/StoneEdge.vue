<script setup lang="ts">
/** The end of a stone, to be pulled; while it is, how many meetings more or less. */
defineProps<{ canPull: boolean; pulled: number }>()
const emit = defineEmits<{ pull: [event: PointerEvent] }>()
</script>

<template>
  <span
    v-if="canPull"
    class="edge"
    aria-hidden="true"
    title="Pull to make it longer or shorter"
    @pointerdown.stop="emit('pull', $event)"
    @click.stop
  />
  <span v-if="pulled !== 0" class="pulled" aria-hidden="true"
    >{{ pulled > 0 ? '+' : '−' }}{{ Math.abs(pulled) / 2 }}</span
  >
</template>

<style scoped>
.edge {
  position: absolute;
  right: 0;
  top: 0;
  bottom: 0;
  width: 6px;
  cursor: ew-resize;
}
.edge:hover {
  background: color-mix(in oklab, var(--ui-primary) 45%, transparent);
}
.pulled {
  position: absolute;
  right: 8px;
  top: 2px;
  background: var(--ui-primary);
  color: var(--ui-bg);
  border-radius: 3px;
  padding: 0 4px;
}
</style>

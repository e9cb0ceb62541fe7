<script setup lang="ts">
import { TOGGLE, enterDetails } from '../composables/details'

/** Where the details of what is chosen stand: beside the desk, or on a phone in a sheet over it. */
defineProps<{ isPhone: boolean; isCovered: boolean }>()
const emit = defineEmits<{ back: [] }>()
const open = defineModel<boolean>('open', { required: true })

/** What opened the details gets the focus again. */
function backToToggle(): void {
  document.querySelector<HTMLElement>(TOGGLE)?.focus()
}
function close(): void {
  open.value = false
  backToToggle()
}
const afterSheet = {
  onCloseAutoFocus: (event: Event) => {
    event.preventDefault()
    backToToggle()
  },
}
</script>

<template>
  <UDrawer
    v-if="isPhone"
    v-model:open="open"
    title="Details"
    description="Of what is chosen on the desk"
    :content="afterSheet"
    :ui="{ header: 'sr-only', content: 'max-h-[70dvh]', container: 'scroll-py-8' }"
  >
    <template #body>
      <div id="inspector" @vue:mounted="enterDetails"><slot /></div>
    </template>
  </UDrawer>
  <aside
    v-else-if="open"
    id="inspector"
    class="inspector"
    aria-label="Details"
    :inert="isCovered"
    @keydown.esc="emit('back')"
  >
    <UButton
      class="close"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-x"
      aria-label="Close the details"
      data-hook="close-details"
      @click="close"
    />
    <slot />
  </aside>
</template>

<style scoped>
.inspector {
  width: 18rem;
  flex: none;
  overflow: auto;
  /* what is said at the foot for a while covers no act */
  padding: 1rem 1rem 7rem;
  border-left: 1px solid var(--ui-border);
  background: var(--ui-bg-muted);
}
.close {
  float: right;
  position: relative;
  z-index: 1;
}
.inspector :deep(h3) {
  margin-bottom: 0.15rem;
}
</style>

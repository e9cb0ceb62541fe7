<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { onBeforeUnmount } from 'vue'
import { useOutcome } from '../composables/outcome'
import { belongsToFocus, useRippleKeys } from '../composables/rippleKeys'
import { useRipple } from '../stores/ripple'
import RipplePanel from './RipplePanel.vue'

/**
 * The ripple of a change that is made away from the desk, at the foot of the page; what was typed there
 * stays.
 */
const emit = defineEmits<{ made: [] }>()
const ripple = useRipple()
const tellOutcome = useOutcome()
async function apply(): Promise<void> {
  const reply = await ripple.apply()
  if (reply && tellOutcome(reply, 'Done')) emit('made')
}
const keys = useRippleKeys(() => void apply())
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!belongsToFocus(event)) keys(event)
})
onBeforeUnmount(() => ripple.close())
</script>

<template>
  <div v-if="ripple.isOpen" class="here"><RipplePanel @apply="apply" /></div>
</template>

<style scoped>
.here {
  position: sticky;
  bottom: 0;
  z-index: 20;
}
.here :deep(.ripple) {
  position: static;
  max-height: 60vh;
}
</style>

<script setup lang="ts">
import type { Instant } from '#core/base'
import type { useDeskActs } from '../composables/deskActs'
import { TOGGLE, enterDetails } from '../composables/details'
import type { useRecording } from '../composables/recording'
import type { Selection } from '../desk/selection'
import type { DeskColumn } from '../stores/deskColumn'
import DeskInspector from './DeskInspector.vue'

/** The details of what is chosen: beside the desk, or on a phone a sheet over it. */
const props = defineProps<{
  selection: Selection | null
  column: DeskColumn | null
  now: Instant
  acts: ReturnType<typeof useDeskActs>
  recording: ReturnType<typeof useRecording>
  isPhone: boolean
  isCovered: boolean
}>()
const emit = defineEmits<{
  choose: [at: Selection]
  add: [column: DeskColumn, meeting: number, title: string]
  back: []
}>()
const open = defineModel<boolean>('open', { required: true })

function close(): void {
  open.value = false
  document.querySelector<HTMLElement>(TOGGLE)?.focus()
}
/** The sheet has been closed; what opened it gets the focus again. */
const afterSheet = {
  onCloseAutoFocus: (event: Event) => {
    event.preventDefault()
    document.querySelector<HTMLElement>(TOGGLE)?.focus()
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
      <div id="inspector" @vue:mounted="enterDetails">
        <DeskInspector
          v-bind="props"
          @choose="emit('choose', $event)"
          @add="(column, meeting, title) => emit('add', column, meeting, title)"
          @announce="acts.announce"
        />
      </div>
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
    <DeskInspector
      v-bind="props"
      @choose="emit('choose', $event)"
      @add="(column, meeting, title) => emit('add', column, meeting, title)"
      @announce="acts.announce"
    />
  </aside>
</template>

<style scoped>
.inspector {
  width: 18rem;
  flex: none;
  overflow: auto;
  padding: 1rem;
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

<script setup lang="ts">
import { computed } from 'vue'
import type { Preview, WorkPage } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'

/** What can be done with what was composed: it goes out, is held, or changed. */
const props = defineProps<{
  known: WorkPage | null
  preview: Preview | null
  busy: boolean
  blocked: boolean
  mayWithdraw: boolean
}>()
defineEmits<{ save: [publish: boolean]; 'publish-again': []; withdraw: [] }>()
const publishWord = computed(() => {
  const { learners = 0, awaitsNewcomers = false } = props.preview ?? {}
  if (learners > 0) return `Publish to ${count(learners, 'learner')}`
  return awaitsNewcomers ? 'Publish for whoever joins' : 'Publish'
})
</script>

<template>
  <div class="acts">
    <template v-if="known?.state === 'withdrawn'"
      ><UButton size="md" :loading="busy" @click="$emit('publish-again')">Publish again</UButton></template
    >
    <template v-else-if="known?.state === 'published'">
      <UButton size="md" :loading="busy" :disabled="blocked" data-hook="save" @click="$emit('save', false)"
        >Save changes</UButton
      >
      <UButton
        size="md"
        color="neutral"
        variant="outline"
        :disabled="busy || !mayWithdraw"
        data-hook="withdraw"
        @click="$emit('withdraw')"
        >Withdraw</UButton
      >
    </template>
    <template v-else>
      <!-- as wide as it will be: what stands beside it must not move under the pointer -->
      <UButton
        size="md"
        class="min-w-44 justify-center"
        :loading="busy"
        :disabled="blocked"
        data-hook="publish"
        @click="$emit('save', true)"
        >{{ publishWord }}</UButton
      >
      <UButton
        size="md"
        color="neutral"
        variant="outline"
        :disabled="busy || blocked"
        data-hook="hold"
        @click="$emit('save', false)"
        >{{ known ? 'Save, keep held' : 'Hold for later' }}</UButton
      >
      <UButton
        v-if="known"
        size="md"
        color="neutral"
        variant="ghost"
        :disabled="busy"
        data-hook="throw-away"
        @click="$emit('withdraw')"
        >Throw away</UButton
      >
    </template>
    <UButton size="md" color="neutral" variant="ghost" to="/work">Back to the list</UButton>
    <span class="said self-center">What you choose here is kept on this machine until you send it.</span>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 0.6rem;
  position: sticky;
  bottom: 0;
  background: var(--ui-bg);
  border-top: 1px solid var(--ui-border);
  padding-block: 0.7rem;
  z-index: 5;
  flex-wrap: wrap;
}
</style>

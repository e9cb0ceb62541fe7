<script setup lang="ts">
import { count } from '~/shared/words/numbers'

/** What is scored, how far it is, and the one act that shows it to learners. */
defineProps<{
  title: string
  about: string
  counts: { readonly all: number; readonly left: number; readonly scored: number }
  status: 'saved' | 'saving' | 'lost'
  namesHidden: boolean
  back: { readonly path: string; readonly query: Readonly<Record<string, string>> }
  /** Somebody of the class has nothing written for it. */
  mayAdd: boolean
}>()
defineEmits<{ hide: [hidden: boolean]; release: []; add: [] }>()
const STATUS = {
  saved: 'all kept',
  saving: 'keeping …',
  lost: 'no connection; kept here, sent again',
} as const
function sayLeft({ all, left }: { readonly all: number; readonly left: number }): string {
  if (all === 0) return 'no text yet'
  return left > 0 ? `${left} of ${count(all, 'text')} to score` : 'all scored'
}
</script>

<template>
  <header class="head">
    <UButton
      color="neutral"
      variant="ghost"
      icon="i-lucide-arrow-left"
      aria-label="Back to the evidence"
      :to="back"
      data-hook="back-to-evidence"
    />
    <div class="min-w-0">
      <h1>{{ title }}</h1>
      <p class="said">
        {{ about }} ·
        <span role="status" data-hook="left">{{ sayLeft(counts) }}</span>
        · <span :class="status" data-hook="kept">{{ STATUS[status] }}</span>
      </p>
    </div>
    <div class="flex-1" />
    <UButton
      v-if="mayAdd"
      color="neutral"
      variant="ghost"
      icon="i-lucide-file-plus"
      data-hook="add-texts"
      @click="$emit('add')"
      >Add texts</UButton
    >
    <USwitch
      :model-value="namesHidden"
      label="Hide names"
      data-hook="hide-names"
      @update:model-value="$emit('hide', $event)"
    />
    <UButton
      :disabled="counts.scored === 0 || status !== 'saved'"
      data-hook="release"
      @click="$emit('release')"
      >{{ counts.scored ? `Release ${count(counts.scored, 'score')}` : 'Nothing to release' }}</UButton
    >
  </header>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0.5rem 0.9rem;
  padding: 0.5rem 1rem 0.5rem 0.5rem;
  border-bottom: 1px solid var(--ui-border);
}
h1 {
  font-size: 1.13rem;
}
.lost {
  color: var(--ui-error);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ClassId } from '#core/base'
import { MOST_AT_ONCE } from '#core/work'
import type { WorkRow } from '#shared/contracts/work'
import { count } from '~/shared/words/numbers'

/** What can be done with all work that is ticked, each as one step that one undo takes back. */
const props = defineProps<{
  rows: readonly WorkRow[]
  classes: readonly { readonly id: ClassId; readonly name: string }[]
  busy: boolean
}>()
const emit = defineEmits<{
  publish: [rows: readonly WorkRow[]]
  withdraw: [rows: readonly WorkRow[]]
  'throw-away': [rows: readonly WorkRow[]]
  shift: [rows: readonly WorkRow[], meetings: number]
  copy: [row: WorkRow, classId: ClassId]
  none: []
}>()
const by = ref(1)
const held = computed(() => props.rows.filter((r) => r.state === 'held'))
const out = computed(() => props.rows.filter((r) => r.state === 'published'))
const standing = computed(() => props.rows.filter((r) => r.state !== 'withdrawn'))
const tooMany = computed(() => props.rows.length > MOST_AT_ONCE)
const single = computed(() => (props.rows.length === 1 ? (props.rows[0] ?? null) : null))
const copies = computed(() => {
  const row = single.value
  if (!row) return []
  const had = new Set(row.classes.map((c) => c.classId))
  return props.classes
    .filter((c) => !had.has(c.id))
    .map((c) => ({ label: c.name, onSelect: () => emit('copy', row, c.id) }))
})
</script>

<template>
  <div class="bar-of-chosen" role="region" aria-label="What is chosen" data-hook="chosen-bar">
    <b>{{ rows.length }} chosen</b>
    <p v-if="tooMany" class="note-line care">At most {{ MOST_AT_ONCE }} at once. Untick some.</p>
    <template v-else>
      <UButton
        v-if="held.length"
        size="sm"
        :loading="busy"
        data-hook="publish-chosen"
        @click="emit('publish', held)"
        >Publish {{ held.length }}</UButton
      >
      <form
        v-if="standing.length"
        class="flex items-center gap-1.5"
        @submit.prevent="emit('shift', standing, by)"
      >
        <UButton
          type="submit"
          size="sm"
          color="neutral"
          variant="outline"
          :disabled="busy || by === 0"
          data-hook="shift-chosen"
          >Move by</UButton
        >
        <UInputNumber
          v-model="by"
          size="sm"
          class="!w-24"
          :min="-40"
          :max="40"
          aria-label="Meetings later; below zero earlier"
          data-hook="shift-by"
        />
        <span class="said">{{ `${count(Math.abs(by), 'meeting')} ${by < 0 ? 'earlier' : 'later'}` }}</span>
      </form>
      <UDropdownMenu v-if="copies.length" :items="copies"
        ><UButton size="sm" color="neutral" variant="outline" data-hook="copy-chosen" icon="i-lucide-copy"
          >Copy to a class</UButton
        ></UDropdownMenu
      >
      <UButton
        v-if="held.length"
        size="sm"
        color="neutral"
        variant="outline"
        :disabled="busy"
        data-hook="throw-away-chosen"
        @click="emit('throw-away', held)"
        >Throw away {{ held.length }} held</UButton
      >
      <UButton
        v-if="out.length"
        size="sm"
        color="neutral"
        variant="outline"
        :disabled="busy"
        data-hook="withdraw-chosen"
        @click="emit('withdraw', out)"
        >Withdraw {{ count(out.length, 'piece of work', 'pieces of work') }}</UButton
      >
    </template>
    <UButton
      size="sm"
      color="neutral"
      variant="ghost"
      class="ml-auto"
      data-hook="choose-none"
      @click="emit('none')"
      >Choose none</UButton
    >
  </div>
</template>

<style scoped>
.bar-of-chosen {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.7rem;
  align-items: center;
  padding: 0.6rem 0.8rem;
  margin-top: 1rem;
  background: var(--ui-bg-elevated);
  border-top: 2px solid var(--ui-primary);
  z-index: 5;
}
</style>

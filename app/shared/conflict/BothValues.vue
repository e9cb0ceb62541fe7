<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Side } from '#core/combining'
import { capital } from './words'
import type { ClashRow } from './words'

/** What two people made different of the same, both in words; answers whose stands for each, or null to leave it. */
const props = defineProps<{
  /** 'Tomasz Zielinski', 'somebody else'. */
  who: string
  /** 'these headings'. */
  what: string
  rows: readonly ClashRow[]
  /** What of theirs stays without a question: 'Due and the note'. */
  also: string
}>()
const emit = defineEmits<{ close: [choices: ReadonlyMap<string, Side> | null] }>()
const chosen = ref<Record<string, Side>>({})
const isWhole = computed(() => props.rows.every((r) => chosen.value[r.id]))
const isOne = computed(() => props.rows.length === 1)
const title = computed(() => `${capital(props.who)} changed ${props.what} meanwhile`)
const about = computed(() => {
  const kept = props.also ? ` What only they changed stays: ${props.also}.` : ''
  return `Nothing of yours is saved yet. Choose what is to stand.${kept}`
})
const SIDES = [
  { side: 'mine', label: 'Yours' },
  { side: 'theirs', label: 'Now there' },
] as const
function all(side: Side): void {
  emit('close', new Map(props.rows.map((r) => [r.id, side])))
}
function save(): void {
  emit('close', new Map(Object.entries(chosen.value)))
}
</script>

<template>
  <UModal
    :title="title"
    :description="about"
    :close="false"
    :ui="{ content: 'max-w-2xl', footer: 'flex-wrap' }"
    @update:open="emit('close', null)"
  >
    <template #body>
      <div class="grid gap-4" data-hook="both-values">
        <fieldset v-for="row in rows" :key="row.id" class="row">
          <legend>{{ capital(row.label) }}</legend>
          <label v-for="s in SIDES" :key="s.side" class="side" :class="{ on: chosen[row.id] === s.side }">
            <span class="head">
              <input
                v-if="!isOne"
                v-model="chosen[row.id]"
                type="radio"
                :name="row.id"
                :value="s.side"
                :data-hook="`choose-${s.side}`"
              />
              {{ s.label }}</span
            >
            <span class="text" :data-hook="`said-${s.side}`">{{ row[s.side] }}</span>
          </label>
        </fieldset>
      </div>
    </template>
    <template #footer>
      <UButton
        v-if="!isOne"
        :disabled="!isWhole"
        :variant="isWhole ? 'solid' : 'outline'"
        data-hook="save-chosen"
        @click="save"
        >Save as chosen</UButton
      >
      <UButton
        :variant="isOne ? 'solid' : 'outline'"
        color="neutral"
        data-hook="all-mine"
        @click="all('mine')"
        >{{ isOne ? 'Keep mine' : 'Mine in all' }}</UButton
      >
      <UButton variant="outline" color="neutral" data-hook="all-theirs" @click="all('theirs')">{{
        isOne ? 'Take theirs' : 'Theirs in all'
      }}</UButton>
      <UButton color="neutral" variant="ghost" autofocus data-hook="leave-it" @click="emit('close', null)"
        >Go on writing</UButton
      >
    </template>
  </UModal>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.5rem;
  min-width: 0;
}
legend {
  font-weight: 600;
  margin-bottom: 0.3rem;
}
.side {
  display: grid;
  gap: 0.25rem;
  align-content: start;
  padding: 0.5rem 0.7rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 0.5rem;
  min-width: 0;
}
.side.on {
  border-color: var(--ui-primary);
  box-shadow: inset 0 0 0 1px var(--ui-primary);
}
.head {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  color: var(--ui-text-muted);
}
.text {
  white-space: pre-line;
  overflow-wrap: anywhere;
  max-height: 9rem;
  overflow: auto;
}
@media (max-width: 520px) {
  .row {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { HARDNESSES } from '#core/attempts'
import type { BankPart, Hardness, Share } from '#core/attempts'
import { wholeOrNull } from './numberField'

const props = defineProps<{ shares: readonly Share[]; bank: readonly BankPart[] }>()
const emit = defineEmits<{ change: [shares: readonly Share[]] }>()

const ANY = 'any'
const standards = computed(() => [...new Set(props.bank.flatMap((p) => p.standard ?? []))])
const STANDARD_ITEMS = computed(() => [
  { value: ANY, label: 'any standard' },
  ...standards.value.map((code) => ({ value: code, label: code })),
])
const HARDNESS_ITEMS = [
  { value: ANY, label: 'easy or hard' },
  ...HARDNESSES.map((value) => ({ value, label: value })),
]
/** How many the bank has for a share. */
function has({ standard, hardness }: Share): number {
  return props.bank
    .filter((p) => standard === null || p.standard === standard)
    .filter((p) => hardness === null || p.hardness === hardness)
    .reduce((sum, p) => sum + p.count, 0)
}
function patch(at: number, part: Partial<Share>): void {
  emit(
    'change',
    props.shares.map((s, i) => (i === at ? { ...s, ...part } : s)),
  )
}
function remove(at: number): void {
  emit(
    'change',
    props.shares.filter((_, i) => i !== at),
  )
}
function add(): void {
  emit('change', [...props.shares, { standard: null, hardness: null, count: 1 }])
}
</script>

<template>
  <div class="grid gap-2">
    <div v-for="(s, i) in shares" :key="i" class="share" role="group" :aria-label="`Share ${i + 1}`">
      <UInput
        type="number"
        min="1"
        :name="`share-${i + 1}`"
        :aria-label="`Questions of share ${i + 1}`"
        :model-value="s.count"
        @update:model-value="patch(i, { count: wholeOrNull($event) ?? 0 })"
      />
      <div class="grid gap-1">
        <USelect
          v-if="standards.length > 0"
          :items="STANDARD_ITEMS"
          :aria-label="`Standard of share ${i + 1}`"
          :model-value="s.standard ?? ANY"
          @update:model-value="patch(i, { standard: $event === ANY ? null : $event })"
        />
        <USelect
          :items="HARDNESS_ITEMS"
          :aria-label="`Hardness of share ${i + 1}`"
          :model-value="s.hardness ?? ANY"
          @update:model-value="patch(i, { hardness: $event === ANY ? null : ($event as Hardness) })"
        />
        <span class="said" :class="{ short: s.count > has(s) }">of {{ has(s) }} in the piece</span>
      </div>
      <UButton
        v-if="shares.length > 1"
        color="neutral"
        variant="ghost"
        size="xs"
        icon="i-lucide-x"
        :aria-label="`Remove share ${i + 1}`"
        @click="remove(i)"
      />
    </div>
    <UButton
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-plus"
      @click="add"
      >Another share</UButton
    >
  </div>
</template>

<style scoped>
.share {
  display: grid;
  grid-template-columns: 3.6rem 1fr auto;
  gap: 0.4rem;
  align-items: start;
}
.short {
  color: var(--ui-warning);
  font-weight: 650;
}
</style>

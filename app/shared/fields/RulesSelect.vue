<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import type { AttemptRules } from '#core/attempts'
import { same } from '#core/base'
import type { Preset } from '#core/work'
import { ListPresets } from '#shared/contracts/work'
import { call } from '~/shared/wire/call'
import { PRESETS } from '~/shared/words/rules'

/** Attempt rules by name: those that ship and one's own. */
const props = defineProps<{ label: string; disabled?: boolean }>()
const rules = defineModel<AttemptRules>({ required: true })
const OTHER = 'other'
const own = shallowRef<readonly Preset[]>([])
onMounted(async () => {
  const reply = await call(ListPresets)
  if (reply.ok) own.value = reply.value.presets
})
const ready = computed(() => [
  ...own.value.map((p) => ({ key: p.id as string, label: p.name, rules: p.rules })),
  ...PRESETS.map((p) => ({ key: p.key, label: p.word, rules: p.rules })),
])
const chosen = computed(() => ready.value.find((p) => same(p.rules, rules.value))?.key ?? OTHER)
const items = computed(() => [
  ...ready.value.map((p) => ({ label: p.label, value: p.key })),
  ...(chosen.value === OTHER ? [{ label: 'Rules of its own', value: OTHER }] : []),
])
function choose(key: string): void {
  const found = ready.value.find((p) => p.key === key)
  if (found) rules.value = found.rules
}
</script>

<template>
  <USelect
    size="sm"
    :items="items"
    :model-value="chosen"
    :aria-label="props.label"
    :disabled="disabled"
    class="w-full"
    @update:model-value="choose"
  />
</template>

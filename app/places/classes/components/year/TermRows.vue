<script setup lang="ts">
import type { IsoDay } from '#core/base'
import type { Term } from '#core/calendar'
import DayField from '~/shared/fields/DayField.vue'

const props = defineProps<{ firstOn: IsoDay; lastOn: IsoDay; today: IsoDay }>()
const terms = defineModel<readonly Term[]>({ required: true })
const patch = (at: number, part: Partial<Term>) => {
  terms.value = terms.value.map((t, i) => (i === at ? { ...t, ...part } : t))
}
function add(): void {
  const { firstOn, lastOn } = props
  terms.value = [...terms.value, { name: `Term ${terms.value.length + 1}`, firstOn, lastOn }]
}
const remove = (at: number) => {
  terms.value = terms.value.filter((_, i) => i !== at)
}
</script>

<template>
  <fieldset class="grid gap-1.5">
    <legend class="text-sm font-semibold mb-1">Terms</legend>
    <div v-for="(t, i) in terms" :key="i" class="flex gap-2 items-start flex-wrap">
      <UInput
        class="!w-36"
        :model-value="t.name"
        maxlength="40"
        :aria-label="`Name of term ${i + 1}`"
        @update:model-value="patch(i, { name: String($event) })"
      />
      <DayField
        class="w-40"
        :model-value="t.firstOn"
        :label="`First day of term ${i + 1}`"
        :today="today"
        @update:model-value="$event && patch(i, { firstOn: $event })"
      />
      <DayField
        class="w-40"
        :model-value="t.lastOn"
        :label="`Last day of term ${i + 1}`"
        :today="today"
        @update:model-value="$event && patch(i, { lastOn: $event })"
      />
      <UButton
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Remove term ${i + 1}`"
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
      >Another term</UButton
    >
  </fieldset>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { ITEM_ORDERS, KEPT, LATE_PER, REVEALS } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { KEPT_WORDS, PRESETS, REVEAL_WORDS } from '~/shared/words/rules'

defineProps<{ scored: boolean }>()
const rules = defineModel<AttemptRules>({ required: true })
const preset = computed(
  () =>
    PRESETS.find(
      (p) => JSON.stringify({ ...p.rules, late: null }) === JSON.stringify({ ...rules.value, late: null }),
    ) ?? null,
)
const patch = (part: Partial<AttemptRules>) => {
  rules.value = { ...rules.value, ...part }
}
const PRESET_ITEMS = PRESETS.map(({ key, word }) => ({ value: key, label: word }))
function take(key: string | null): void {
  const chosen = PRESETS.find((p) => p.key === key)
  if (chosen) rules.value = { ...chosen.rules, late: rules.value.late }
}
const numberOrNull = (value: unknown) => (String(value).trim() === '' ? null : Math.trunc(Number(value)))
const KEPT_ITEMS = KEPT.map((value) => ({ value, label: KEPT_WORDS[value] }))
const REVEAL_ITEMS = REVEALS.map((value) => ({ value, label: REVEAL_WORDS[value] }))
const ORDER_ITEMS = ITEM_ORDERS.map((value) => ({
  value,
  label: value === 'shuffled' ? 'shuffled for each learner' : 'as written',
}))
const PER_ITEMS = LATE_PER.map((value) => ({
  value,
  label: value === 'calendar-day' ? 'each day' : 'each school day',
}))
</script>

<template>
  <section aria-labelledby="how" class="grid gap-3 content-start">
    <h2 id="how">How</h2>
    <slot />
    <template v-if="scored">
      <ChoiceButtons
        label="Ready rules"
        :items="PRESET_ITEMS"
        :model-value="preset?.key ?? null"
        @update:model-value="take"
      />
      <p class="said">{{ preset ? preset.about : 'Own rules, set below.' }}</p>
      <div class="grid grid-cols-2 gap-2">
        <UFormField label="Tries" help="Empty: no limit"
          ><UInput
            type="number"
            min="1"
            name="maxAttempts"
            :model-value="rules.maxAttempts === null ? '' : String(rules.maxAttempts)"
            placeholder="no limit"
            @update:model-value="patch({ maxAttempts: numberOrNull($event) })"
        /></UFormField>
        <UFormField label="Minutes for a try" help="Empty: no limit"
          ><UInput
            type="number"
            min="1"
            name="timeLimit"
            :model-value="rules.timeLimitMinutes === null ? '' : String(rules.timeLimitMinutes)"
            placeholder="none"
            @update:model-value="patch({ timeLimitMinutes: numberOrNull($event) })"
        /></UFormField>
      </div>
      <UFormField v-if="rules.maxAttempts !== 1" label="Score that counts"
        ><USelect
          class="w-full"
          :items="KEPT_ITEMS"
          :model-value="rules.kept"
          @update:model-value="patch({ kept: $event })"
      /></UFormField>
      <UFormField v-if="rules.maxAttempts !== 1" label="Minutes between tries"
        ><UInput
          type="number"
          min="0"
          :model-value="rules.waitMinutes"
          @update:model-value="patch({ waitMinutes: Math.trunc(Number($event)) })"
      /></UFormField>
      <UFormField label="Items"
        ><USelect
          class="w-full"
          :items="ORDER_ITEMS"
          :model-value="rules.order"
          @update:model-value="patch({ order: $event })"
      /></UFormField>
      <UFormField label="Score and feedback shown"
        ><USelect
          class="w-full"
          :items="REVEAL_ITEMS"
          :model-value="rules.feedback"
          data-hook="feedback"
          @update:model-value="patch({ feedback: $event })"
      /></UFormField>
      <UFormField label="Right answers shown"
        ><USelect
          class="w-full"
          :items="REVEAL_ITEMS"
          :model-value="rules.answers"
          @update:model-value="patch({ answers: $event })"
      /></UFormField>
      <div class="grid gap-2">
        <UCheckbox
          label="Late work loses points"
          :model-value="rules.late !== null"
          @update:model-value="
            patch({
              late: $event ? { percentPerDay: 10, per: 'instructional-day', floorPercent: 50 } : null,
            })
          "
        />
        <template v-if="rules.late">
          <div class="flex gap-1.5">
            <UInput
              type="number"
              class="!w-20"
              aria-label="Percent off"
              :model-value="rules.late.percentPerDay"
              @update:model-value="patch({ late: { ...rules.late!, percentPerDay: Number($event) } })"
            /><span class="said self-center">%</span
            ><USelect
              class="flex-1"
              aria-label="For"
              :items="PER_ITEMS"
              :model-value="rules.late.per"
              @update:model-value="patch({ late: { ...rules.late!, per: $event } })"
            />
          </div>
          <div class="flex gap-1.5 items-center">
            <UInput
              type="number"
              class="!w-20"
              aria-label="At least kept, percent"
              :model-value="rules.late.floorPercent"
              @update:model-value="patch({ late: { ...rules.late!, floorPercent: Number($event) } })"
            /><span class="said">% of the score are kept at least</span>
          </div>
          <p class="said">Late work exists only if it closes after it is due.</p>
        </template>
      </div>
    </template>
    <p v-else class="said">What is only read is done when the learner says so: there is nothing to score.</p>
  </section>
</template>

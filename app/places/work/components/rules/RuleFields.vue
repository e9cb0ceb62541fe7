<script setup lang="ts">
import { HELPS, KEPT, REVEALS } from '#core/attempts'
import type { AttemptRules, BankPart, Help } from '#core/attempts'
import { HELP_WORDS, KEPT_WORDS, REVEAL_WORDS } from '~/shared/words/rules'
import { wholeOrNull } from './numberField'
import ItemsField from './ItemsField.vue'
import LateField from './LateField.vue'

defineProps<{ bank: readonly BankPart[] }>()
const rules = defineModel<AttemptRules>({ required: true })
const patch = (part: Partial<AttemptRules>) => {
  rules.value = { ...rules.value, ...part }
}
const KEPT_ITEMS = KEPT.map((value) => ({ value, label: KEPT_WORDS[value] }))
const REVEAL_ITEMS = REVEALS.map((value) => ({ value, label: REVEAL_WORDS[value] }))
function allow(help: Help, isAllowed: boolean): void {
  patch({ help: HELPS.filter((h) => (h === help ? isAllowed : rules.value.help.includes(h))) })
}
const shown = (value: number | null) => (value === null ? '' : String(value))
</script>

<template>
  <div class="grid gap-3" data-hook="rule-fields">
    <UFormField label="Tries" help="How often they may do it. Empty: no limit."
      ><UInput
        type="number"
        min="1"
        name="maxAttempts"
        :model-value="shown(rules.maxAttempts)"
        placeholder="no limit"
        @update:model-value="patch({ maxAttempts: wholeOrNull($event) })"
    /></UFormField>
    <template v-if="rules.maxAttempts !== 1">
      <UFormField label="Score that counts" help="Which of several tries stands in the grid."
        ><USelect
          class="w-full"
          :items="KEPT_ITEMS"
          :model-value="rules.kept"
          @update:model-value="patch({ kept: $event })"
      /></UFormField>
      <UFormField label="Minutes between tries" help="So that nobody guesses their way through."
        ><UInput
          type="number"
          min="0"
          :model-value="rules.waitMinutes"
          @update:model-value="patch({ waitMinutes: wholeOrNull($event) ?? 0 })"
      /></UFormField>
    </template>
    <UFormField label="Minutes for a try" help="Runs from Begin; accommodations make it longer. Empty: none."
      ><UInput
        type="number"
        min="1"
        name="timeLimit"
        :model-value="shown(rules.timeLimitMinutes)"
        placeholder="none"
        @update:model-value="patch({ timeLimitMinutes: wholeOrNull($event) })"
    /></UFormField>
    <ItemsField :bank="bank" :items="rules.items" :order="rules.order" @change="patch($event)" />
    <UFormField label="Score and feedback shown" help="“After each question” lets them look, then go on."
      ><USelect
        class="w-full"
        :items="REVEAL_ITEMS"
        :model-value="rules.feedback"
        data-hook="feedback"
        @update:model-value="patch({ feedback: $event })"
    /></UFormField>
    <UFormField
      label="Right answers shown"
      help="Apart from the score; not before everybody is done, if you like."
      ><USelect
        class="w-full"
        :items="REVEAL_ITEMS"
        :model-value="rules.answers"
        @update:model-value="patch({ answers: $event })"
    /></UFormField>
    <fieldset class="grid gap-1">
      <legend class="font-semibold text-sm mb-1">Help while working</legend>
      <UCheckbox
        v-for="h in HELPS"
        :key="h"
        :label="HELP_WORDS[h]"
        :model-value="rules.help.includes(h)"
        :data-hook="`help-${h}`"
        @update:model-value="allow(h, $event === true)"
      />
    </fieldset>
    <UFormField
      label="Pass mark in percent"
      help="Below it the piece does not count as finished. Empty: none."
      ><UInput
        type="number"
        min="1"
        max="100"
        name="passPercent"
        :model-value="shown(rules.passPercent)"
        placeholder="none"
        @update:model-value="patch({ passPercent: wholeOrNull($event) })"
    /></UFormField>
    <LateField :late="rules.late" @change="patch({ late: $event })" />
  </div>
</template>

<script setup lang="ts">
import type { FollowUpTerms } from '#core/followUp'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { REACH_ITEMS } from '../../followUpWords'

/** How much each learner is given, and how far it goes. */
defineProps<{
  /** How many missed nothing. */
  nothingMissed: number
}>()
const terms = defineModel<FollowUpTerms>({ required: true })
const set = (part: Partial<FollowUpTerms>) => {
  terms.value = { ...terms.value, ...part }
}
function setMost(value: unknown): void {
  set({ most: Math.min(9, Math.max(1, Math.trunc(Number(value)) || 1)) })
}
function setMinutes(value: unknown): void {
  const minutes = Math.trunc(Number(value))
  const isLimit = value !== '' && Number.isFinite(minutes) && minutes >= 0
  set({ mostMinutes: isLimit ? minutes : null })
}
</script>

<template>
  <section class="field-row">
    <label>
      <span class="said">Pieces for each, at most</span>
      <UInput
        type="number"
        min="1"
        max="9"
        class="w-20"
        name="most-pieces"
        :model-value="terms.most"
        @update:model-value="setMost"
      />
    </label>
    <label>
      <span class="said">Minutes within a week, with what they have</span>
      <UInput
        type="number"
        min="0"
        class="w-28"
        name="most-minutes"
        placeholder="no limit"
        :model-value="terms.mostMinutes === null ? '' : String(terms.mostMinutes)"
        @update:model-value="setMinutes"
      />
    </label>
    <div>
      <span class="said">Work on</span>
      <ChoiceButtons
        label="Work on"
        :items="REACH_ITEMS"
        :model-value="terms.reach"
        @update:model-value="set({ reach: $event ?? 'level' })"
      />
    </div>
    <UCheckbox
      v-if="nothingMissed > 0"
      :model-value="terms.extend"
      :label="`Something further for the ${nothingMissed} who missed nothing`"
      data-hook="further"
      @update:model-value="set({ extend: $event === true })"
    />
  </section>
</template>

<style scoped src="../fieldRow.css"></style>

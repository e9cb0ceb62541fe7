<script setup lang="ts">
import { computed, ref } from 'vue'
import { NO_ABOUT } from '#core/work'
import type { About } from '#core/work'
import { same } from '#core/base'
import type { DraftInWork } from '../draft'

const draft = defineModel<DraftInWork>({ required: true })
const patch = (part: Partial<About>) => {
  draft.value = { ...draft.value, about: { ...draft.value.about, ...part } }
}
const isSaid = computed(() => !same(draft.value.about, NO_ABOUT))
const isOpen = ref(isSaid.value)
/** A line is an outcome; what is typed keeps its empty lines until it is left. */
const outcomes = ref(draft.value.about.outcomes.join('\n'))
function takeOutcomes(): void {
  const lines = outcomes.value.split('\n').map((line) => line.trim())
  patch({ outcomes: lines.filter((line) => line !== '').slice(0, 12) })
}
</script>

<template>
  <div class="grid gap-3">
    <UCheckbox
      label="First things first"
      description="Other work of the class waits until this is finished."
      :model-value="draft.isFirst"
      data-hook="is-first"
      @update:model-value="
        (is) => {
          draft = { ...draft, isFirst: is === true }
        }
      "
    />
    <UCheckbox
      v-if="draft.pieces.length > 1"
      label="One after the other"
      description="Each piece waits until those before it are finished."
      :model-value="draft.inTurn"
      data-hook="in-turn"
      @update:model-value="
        (is) => {
          draft = { ...draft, inTurn: is === true }
        }
      "
    />
    <UButton
      class="justify-self-start"
      size="xs"
      color="neutral"
      variant="outline"
      :icon="isOpen ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'"
      :aria-expanded="isOpen"
      data-hook="more-about"
      @click="
        () => {
          isOpen = !isOpen
        }
      "
      >Objective, instructions, link</UButton
    >
    <template v-if="isOpen">
      <UFormField label="Objective" help="What it is for, in a sentence learners read."
        ><UInput
          name="objective"
          maxlength="300"
          :model-value="draft.about.objective"
          @update:model-value="patch({ objective: String($event) })"
      /></UFormField>
      <UFormField label="Outcomes" help="What they can do afterwards; a line each."
        ><UTextarea v-model="outcomes" :rows="2" autoresize name="outcomes" @focusout="takeOutcomes"
      /></UFormField>
      <UFormField label="Instructions" help="A page they read before they begin. **Bold** and lists work."
        ><UTextarea
          :rows="3"
          autoresize
          maxlength="10000"
          name="instructions"
          :model-value="draft.about.instructions"
          @update:model-value="patch({ instructions: String($event) })"
      /></UFormField>
      <UFormField label="Meeting link" help="Where the class meets, if not in the room. https only."
        ><UInput
          name="link"
          maxlength="500"
          placeholder="https://"
          :model-value="draft.about.link"
          @update:model-value="patch({ link: String($event).trim() })"
      /></UFormField>
      <UFormField label="Heading" help="Learners find finished work under it."
        ><UInput
          name="heading"
          maxlength="60"
          :model-value="draft.about.heading"
          @update:model-value="patch({ heading: String($event) })"
      /></UFormField>
      <UFormField label="Grading category" help="For you: where it counts."
        ><UInput
          name="category"
          maxlength="60"
          :model-value="draft.about.category"
          @update:model-value="patch({ category: String($event) })"
      /></UFormField>
    </template>
  </div>
</template>

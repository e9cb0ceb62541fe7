<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { ClassId } from '#core/base'
import { NO_ABOUT } from '#core/work'
import type { About } from '#core/work'
import type { ResourceKind } from '#core/library'
import { same } from '#core/base'
import { NO_FILING } from '#core/filing'
import type { Filing } from '#core/filing'
import { ShowFiling } from '#shared/contracts/filing'
import { call } from '~/shared/wire/call'
import FoldButton from '~/shared/frame/FoldButton.vue'
import type { DraftInWork } from '../draft'
import FiledUnder from './FiledUnder.vue'

const props = defineProps<{
  /** The first class that has it, or whose learners do. */
  classId: ClassId | null
  /** Of its first piece. */
  kind: ResourceKind | null
  /** The unit of its lesson; '': it hangs on none. */
  unit: string
}>()
const draft = defineModel<DraftInWork>({ required: true })
const patch = (part: Partial<About>) => {
  draft.value = { ...draft.value, about: { ...draft.value.about, ...part } }
}
/** What is only offered keeps nothing else waiting. */
function recommend(isRecommended: boolean): void {
  const { about, isFirst } = draft.value
  draft.value = {
    ...draft.value,
    about: { ...about, isRecommended },
    isFirst: isFirst && !isRecommended,
  }
}
/** Under what the class files its work. */
const filing = shallowRef<Filing>(NO_FILING)
watch(
  () => props.classId,
  async (classId) => {
    const reply = classId ? await call(ShowFiling, { params: { classId } }) : null
    filing.value = reply?.ok ? reply.value.filing : NO_FILING
  },
  { immediate: true },
)
/** Whether something stands in the part that is folded. */
const isSaid = computed(() => !same({ ...draft.value.about, isRecommended: false }, NO_ABOUT))
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
      label="Recommended, not required"
      description="Offered to them: nobody is missing or late, and it counts in no grade."
      :model-value="draft.about.isRecommended"
      data-hook="is-recommended"
      @update:model-value="recommend($event === true)"
    />
    <UCheckbox
      v-if="!draft.about.isRecommended"
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
    <FiledUnder
      :filing="filing"
      :kind="kind"
      :unit="unit"
      part="known"
      :model-value="draft.about"
      @update:model-value="patch"
    />
    <FoldButton v-model="isOpen" data-hook="more-about">Objective, instructions, link</FoldButton>
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
      <FiledUnder
        :filing="filing"
        :kind="kind"
        :unit="unit"
        part="rest"
        :model-value="draft.about"
        @update:model-value="patch"
      />
      <UFormField label="Meeting link" help="Where the class meets, if not in the room. https only."
        ><UInput
          name="link"
          maxlength="500"
          placeholder="https://"
          :model-value="draft.about.link"
          @update:model-value="patch({ link: String($event) })"
          @focusout="patch({ link: draft.about.link.trim() })"
      /></UFormField>
    </template>
  </div>
</template>

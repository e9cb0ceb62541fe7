<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { NO_ABOUT } from '#core/work'
import type { About } from '#core/work'
import { foldedName } from '#core/filing'
import { same } from '#core/base'
import { ShowFiling } from '#shared/contracts/filing'
import { call } from '~/shared/wire/call'
import FoldButton from '~/shared/frame/FoldButton.vue'
import type { DraftInWork } from '../draft'

const draft = defineModel<DraftInWork>({ required: true })
const patch = (part: Partial<About>) => {
  draft.value = { ...draft.value, about: { ...draft.value.about, ...part } }
}
/** What is only offered keeps nothing else waiting. */
function recommend(isRecommended: boolean): void {
  patch({ isRecommended })
  if (isRecommended) draft.value = { ...draft.value, isFirst: false }
}
/** What is one line of text, in order. */
const LINES = [
  {
    name: 'link',
    label: 'Meeting link',
    help: 'Where the class meets, if not in the room. https only.',
    most: 500,
    placeholder: 'https://',
  },
  {
    name: 'heading',
    label: 'Heading',
    help: 'Learners find finished work under it.',
    most: 60,
    placeholder: '',
  },
  {
    name: 'category',
    label: 'Grading category',
    help: 'For you: where it counts.',
    most: 60,
    placeholder: '',
  },
] as const
/** What the first class files its work under. */
const classId = computed(() => {
  const first = draft.value.targets.find((t) => t.target.kind === 'class')?.target
  return first?.kind === 'class' ? first.classId : null
})
const known = shallowRef<{ readonly heading: readonly string[]; readonly category: readonly string[] }>({
  heading: [],
  category: [],
})
watch(
  classId,
  async (id) => {
    const reply = id ? await call(ShowFiling, { params: { classId: id } }) : null
    if (!reply?.ok) return
    const { filing } = reply.value
    known.value = { heading: filing.headings, category: filing.categories.map((c) => c.name) }
  },
  { immediate: true },
)
/** What is said below a line: that a name is new in the class, and that work without a category counts nowhere. */
function helpOf({ name, help }: (typeof LINES)[number]): string {
  if (name === 'link') return help
  const names = known.value[name]
  if (name === 'category' && draft.value.about.isRecommended) return 'Recommended work counts in none.'
  const typed = foldedName(draft.value.about[name])
  if (names.length === 0) return help
  if (typed === '') return name === 'category' ? `Without one it counts nowhere: ${names.join(', ')}.` : help
  return names.some((n) => foldedName(n) === typed) ? help : `New in this class, beside ${names.join(', ')}.`
}
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
      <UFormField v-for="f in LINES" :key="f.name" :label="f.label" :help="helpOf(f)"
        ><UInput
          :name="f.name"
          :maxlength="f.most"
          :placeholder="f.placeholder"
          :list="f.name === 'link' ? undefined : `known-${f.name}`"
          :model-value="draft.about[f.name]"
          @update:model-value="patch({ [f.name]: String($event) })"
          @focusout="patch({ [f.name]: draft.about[f.name].trim() })"
      /></UFormField>
      <datalist v-for="(names, name) in known" :id="`known-${name}`" :key="name">
        <option v-for="n in names" :key="n" :value="n" />
      </datalist>
    </template>
  </div>
</template>

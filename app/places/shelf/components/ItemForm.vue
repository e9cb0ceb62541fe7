<script setup lang="ts">
import { computed } from 'vue'
import { ITEM_KINDS, isChosenAmong, takes } from '#core/library'
import type { Standard } from '#core/library'
import { ITEM_KIND_WORDS } from '~/shared/words/itemKinds'
import { toItems, typedFieldsOf } from '../itemDraft'
import type { ItemDraft, TypedField } from '../itemDraft'
import ItemPreview from './ItemPreview.vue'

const draft = defineModel<ItemDraft>({ required: true })
const props = defineProps<{ number: number; alone: boolean; standards: readonly Standard[] }>()
const emit = defineEmits<{ remove: [] }>()
const KIND_ITEMS = ITEM_KINDS.map((value) => ({ label: ITEM_KIND_WORDS[value].name, value }))
const HARD_ITEMS = ['very easy', 'easy', 'middle', 'hard', 'very hard'].map((label, i) => ({
  label,
  value: i + 1,
}))
/** Its answers are ticked as right. */
const isTicked = computed(() => isChosenAmong(draft.value))
const hasOneRight = computed(() => takes(draft.value.kind, 'option-or-none'))
const typedFields = computed(() => typedFieldsOf(draft.value.kind))
const wordsOf = (name: string) => ITEM_KIND_WORDS[draft.value.kind].fields[name] ?? { label: name }

const NO_STANDARD = 'none'
const standardItems = computed(() => [
  { label: 'none', value: NO_STANDARD },
  ...props.standards.map((s) => ({ label: `${s.code} ${s.text}`, value: s.code })),
])
const standard = computed({
  get: () => draft.value.standard ?? NO_STANDARD,
  set: (code) => {
    draft.value.standard = code === NO_STANDARD ? null : code
  },
})
const standardLabel = computed(() => standardItems.value.find((i) => i.value === standard.value)?.label ?? '')
const asItem = computed(() => toItems([draft.value])[0]!)
function widthOf(f: TypedField): string {
  if (f.isLong) return 'w-full'
  return f.type === 'lines' || f.type === 'line' ? 'flex-1' : 'w-36'
}

/** Ticks an answer as right; where one answer is right, the others are not. */
function setRight(at: number, isRight: boolean): void {
  draft.value.options.forEach((o, i) => {
    if (i === at) o.right = isRight
    else if (hasOneRight.value && isRight) o.right = false
  })
}
</script>

<template>
  <fieldset class="item" :data-hook="`item-${number}`">
    <legend>Question {{ number }}</legend>
    <div class="form">
      <div class="flex flex-wrap gap-2 items-end">
        <UFormField label="Kind" class="w-52"
          ><USelect v-model="draft.kind" :items="KIND_ITEMS" class="w-full" data-hook="item-kind"
        /></UFormField>
        <UFormField label="Points" class="w-20"
          ><UInput v-model.number="draft.points" type="number" min="1" max="100"
        /></UFormField>
        <UFormField label="How hard" class="w-36"
          ><USelect v-model="draft.difficulty" :items="HARD_ITEMS" class="w-full"
        /></UFormField>
        <div class="flex-1" />
        <UButton
          v-if="!alone"
          color="neutral"
          variant="ghost"
          icon="i-lucide-trash-2"
          :aria-label="`Remove question ${number}`"
          @click="emit('remove')"
        />
      </div>
      <UFormField label="Standard" class="max-w-xl"
        ><USelectMenu
          v-model="standard"
          value-key="value"
          :items="standardItems"
          class="w-full"
          :aria-label="`${standardLabel}: standard`"
      /></UFormField>
      <UFormField label="Question" :name="`items.${number - 1}.stem`"
        ><UTextarea v-model="draft.stem" :rows="2" autoresize :name="`stem-${number}`"
      /></UFormField>
      <div v-if="isTicked" class="grid gap-1.5">
        <p class="text-sm font-semibold">Answers <span class="said font-normal">tick what is right</span></p>
        <div v-for="(o, i) in draft.options" :key="i" class="flex gap-2 items-center">
          <UCheckbox
            :model-value="o.right"
            :aria-label="`Answer ${i + 1} is right`"
            @update:model-value="setRight(i, $event === true)"
          />
          <UInput v-model="o.text" :aria-label="`Answer ${i + 1}`" :name="`answer-${number}-${i + 1}`" />
        </div>
        <UButton
          v-if="draft.options.length < 8"
          class="justify-self-start"
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-plus"
          @click="
            () => {
              draft.options.push({ text: '', right: false })
            }
          "
          >Another answer</UButton
        >
      </div>
      <div v-if="typedFields.length" class="flex flex-wrap gap-2">
        <UFormField
          v-for="f in typedFields"
          :key="f.name"
          :name="`items.${number - 1}.${f.name}`"
          :label="wordsOf(f.name).label"
          :help="wordsOf(f.name).help"
          :class="widthOf(f)"
          ><UTextarea
            v-if="f.isLong"
            v-model="draft.typed[f.name]"
            :rows="3"
            autoresize
            :name="`${f.name}-${number}`" /><UInput
            v-else
            v-model="draft.typed[f.name]"
            :inputmode="f.type === 'number' ? 'decimal' : 'text'"
            :placeholder="f.type === 'unit' ? 'none' : undefined"
            :name="`${f.name}-${number}`"
        /></UFormField>
      </div>
      <div class="grid sm:grid-cols-2 gap-3">
        <UFormField label="Feedback" help="Shown with the score, when the rules allow it"
          ><UInput v-model="draft.feedback"
        /></UFormField>
        <UFormField label="Hint" help="Helps without telling the answer, where hints are allowed"
          ><UInput v-model="draft.hint" :name="`hint-${number}`"
        /></UFormField>
      </div>
    </div>
    <ItemPreview :item="asItem" :number="number" />
  </fieldset>
</template>

<style scoped>
.item {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 0.7rem 1.25rem;
  padding: 0.9rem 0 1.2rem;
  border-top: 1px solid var(--ui-border);
}
.form {
  display: grid;
  gap: 0.7rem;
  align-content: start;
}
@media (max-width: 900px) {
  .item {
    grid-template-columns: minmax(0, 1fr);
  }
}
legend {
  grid-column: 1 / -1;
  float: left;
  font-weight: 650;
  font-family: var(--font-display);
  width: 100%;
}
</style>

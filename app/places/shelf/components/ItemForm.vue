<script setup lang="ts">
import type { ItemKind } from '#core/library'
import type { ItemDraft } from '../itemDraft'

const draft = defineModel<ItemDraft>({ required: true })
defineProps<{ number: number; alone: boolean }>()
const emit = defineEmits<{ remove: [] }>()
const KINDS: { label: string; value: ItemKind }[] = [
  { label: 'One right answer', value: 'single' },
  { label: 'Several right answers', value: 'multiple' },
  { label: 'A number', value: 'numeric' },
  { label: 'A short answer', value: 'text' },
]

function setRight(at: number): void {
  if (draft.value.kind === 'single')
    draft.value.options.forEach((o, i) => {
      o.right = i === at
    })
}
</script>

<template>
  <fieldset class="item" :data-hook="`item-${number}`">
    <legend>Question {{ number }}</legend>
    <div class="flex gap-2 items-end">
      <UFormField label="Kind" class="w-52"
        ><USelect v-model="draft.kind" :items="KINDS" class="w-full"
      /></UFormField>
      <UFormField label="Points" class="w-20"
        ><UInput v-model.number="draft.points" type="number" min="1" max="100"
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
    <UFormField label="Question"
      ><UTextarea v-model="draft.stem" :rows="2" autoresize :name="`stem-${number}`"
    /></UFormField>
    <div v-if="draft.kind === 'single' || draft.kind === 'multiple'" class="grid gap-1.5">
      <p class="text-sm font-semibold">Answers <span class="said font-normal">tick what is right</span></p>
      <div v-for="(o, i) in draft.options" :key="i" class="flex gap-2 items-center">
        <input
          v-if="draft.kind === 'single'"
          type="radio"
          :name="`right-${number}`"
          :checked="o.right"
          :aria-label="`Answer ${i + 1} is right`"
          class="accent"
          @change="setRight(i)"
        />
        <input
          v-else
          v-model="o.right"
          type="checkbox"
          :aria-label="`Answer ${i + 1} is right`"
          class="accent"
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
    <div v-else-if="draft.kind === 'numeric'" class="flex gap-2">
      <UFormField label="Right number" class="w-36"
        ><UInput v-model="draft.value" inputmode="decimal" :name="`value-${number}`"
      /></UFormField>
      <UFormField label="May differ by" class="w-32"
        ><UInput v-model="draft.tolerance" inputmode="decimal"
      /></UFormField>
      <UFormField label="Unit" class="w-28"><UInput v-model="draft.unit" placeholder="none" /></UFormField>
    </div>
    <UFormField
      v-else
      label="Accepted answers"
      help="Several parted by a semicolon; case and extra spaces do not count"
      ><UInput v-model="draft.accepted" :name="`accepted-${number}`"
    /></UFormField>
    <UFormField label="Feedback" help="Shown with the score, when the rules allow it"
      ><UInput v-model="draft.feedback"
    /></UFormField>
  </fieldset>
</template>

<style scoped>
.item {
  display: grid;
  gap: 0.7rem;
  padding: 0.9rem 0 1.2rem;
  border-top: 1px solid var(--ui-border);
}
legend {
  float: left;
  font-weight: 650;
  font-family: var(--font-display);
  width: 100%;
}
.accent {
  accent-color: var(--ui-primary);
  width: 1.05rem;
  height: 1.05rem;
}
</style>

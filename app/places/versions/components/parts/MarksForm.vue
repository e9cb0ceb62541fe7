<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Resource } from '#core/library'
import { MARK_LOOKS, MOST_SORTS, markOf, newSort } from '#core/versions'
import type { Layer, LegendEntry, MarkLook } from '#core/versions'
import { LOOK_WORDS } from '../../words/parts'

/** What marks stand for and how they look, and every marked passage. */
const props = defineProps<{ core: Resource }>()
const layer = defineModel<Layer>({ required: true })
const LOOKS = MARK_LOOKS.map((value) => ({ value, label: LOOK_WORDS[value] }))
const words = ref('')
const sort = ref<string>()
const problem = ref('')
const sorts = computed(() => layer.value.legend.map((l) => ({ value: l.id, label: l.name })))

function setEntry(id: string, part: Partial<LegendEntry>): void {
  const legend = layer.value.legend.map((l) => (l.id === id ? { ...l, ...part } : l))
  layer.value = { ...layer.value, legend }
}
function dropEntry(id: string): void {
  const { legend, marks } = layer.value
  layer.value = {
    ...layer.value,
    legend: legend.filter((l) => l.id !== id),
    marks: marks.filter((m) => m.sort !== id),
  }
}
function dropMark(at: number): void {
  layer.value = { ...layer.value, marks: layer.value.marks.filter((_, i) => i !== at) }
}
/** By keys alone: the words are typed instead of selected. */
function addTyped(): void {
  const of = sort.value ?? layer.value.legend[0]?.id
  if (of === undefined || words.value.trim() === '') return
  const mark = markOf(props.core.content, { before: '', words: words.value }, of)
  problem.value = mark ? '' : 'These words are not in the text.'
  if (!mark) return
  layer.value = { ...layer.value, marks: [...layer.value.marks, mark] }
  words.value = ''
}
function addEntry(): void {
  const { legend } = layer.value
  const entry = newSort(legend, 'Mark')
  if (entry) layer.value = { ...layer.value, legend: [...legend, entry] }
}
</script>

<template>
  <div class="grid gap-1.5">
    <div v-for="entry in layer.legend" :key="entry.id" class="flex gap-1 items-center">
      <UInput
        size="sm"
        class="flex-1"
        :model-value="entry.name"
        maxlength="40"
        aria-label="What this mark stands for"
        @update:model-value="setEntry(entry.id, { name: String($event) })"
      />
      <USelect
        size="sm"
        class="w-38"
        :model-value="entry.look"
        :items="LOOKS"
        :aria-label="`Look of ${entry.name}`"
        @update:model-value="setEntry(entry.id, { look: $event as MarkLook })"
      />
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        :aria-label="`Take out ${entry.name} and its marks`"
        @click="dropEntry(entry.id)"
      />
    </div>
    <UButton
      v-if="layer.legend.length < MOST_SORTS"
      size="xs"
      color="neutral"
      variant="outline"
      class="w-fit"
      data-hook="add-mark-sort"
      @click="addEntry"
      >Another kind of mark</UButton
    >
    <ul>
      <li
        v-for="(mark, i) in layer.marks"
        :key="`${mark.quote} ${mark.nth}`"
        class="flex gap-2 items-center text-sm"
      >
        <span class="flex-1"
          ><span class="said">{{ layer.legend.find((l) => l.id === mark.sort)?.name }}:</span> “{{
            mark.quote
          }}”</span
        >
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :aria-label="`Take the mark off “${mark.quote}”`"
          @click="dropMark(i)"
        />
      </li>
    </ul>
    <form v-if="layer.legend.length" class="flex gap-1" @submit.prevent="addTyped">
      <UInput
        v-model="words"
        size="sm"
        class="flex-1"
        placeholder="or type words of the text"
        aria-label="Words to mark"
      />
      <USelect
        v-model="sort"
        size="sm"
        class="w-28"
        :items="sorts"
        placeholder="as"
        aria-label="Mark them as"
      />
      <UButton size="sm" type="submit" color="neutral" variant="outline">Mark</UButton>
    </form>
    <p v-if="problem" class="note-line needs" role="alert">{{ problem }}</p>
  </div>
</template>

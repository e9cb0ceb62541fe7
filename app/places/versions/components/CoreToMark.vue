<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { defaultDocument, useEventListener } from '@vueuse/core'
import type { Resource } from '#core/library'
import { MOST_SORTS, markOf, newSort, placeMarks } from '#core/versions'
import type { Layer, LegendEntry } from '#core/versions'
import { toInlineHtml } from '~/shared/words/markdown'
import { toMarkedHtml } from '~/shared/words/markedText'
import { findWords, rangeOf } from '../foundWords'

/** The core with its marks; words that are selected in it, or looked for by keys, can be marked. */
const props = defineProps<{ core: Resource }>()
const layer = defineModel<Layer>({ required: true })
const text = useTemplateRef<HTMLElement>('text')
const bar = useTemplateRef<HTMLElement>('bar')
const field = useTemplateRef<HTMLElement>('field')
const html = computed(() => toMarkedHtml(props.core.content, layer.value))
const selected = ref<{ readonly before: string; readonly words: string } | null>(null)
const newName = ref('')
const problem = ref('')

function look(): void {
  const selection = document.getSelection()
  if (!text.value || !selection || selection.isCollapsed || selection.rangeCount === 0) return
  const range = selection.getRangeAt(0)
  if (!text.value.contains(range.commonAncestorContainer)) return
  const upTo = document.createRange()
  upTo.setStart(text.value, 0)
  upTo.setEnd(range.startContainer, range.startOffset)
  problem.value = ''
  selected.value = { before: upTo.toString(), words: selection.toString() }
}
useEventListener(defaultDocument, 'selectionchange', look)

const wanted = ref('')
const missing = ref('')
let foundAt = -1
watch(wanted, () => {
  foundAt = -1
  missing.value = ''
})
/** Selects the words that were typed where they stand next, and goes to what they can be marked as. */
async function find(): Promise<void> {
  const words = wanted.value.trim()
  if (!text.value || words === '') return
  const found = findWords(text.value.textContent, words, foundAt)
  if (!found) {
    missing.value = `“${words}” does not stand in the text.`
    return
  }
  foundAt = found.at
  const range = rangeOf(text.value, found)
  range.startContainer.parentElement?.scrollIntoView({ block: 'nearest' })
  const selection = document.getSelection()
  selection?.removeAllRanges()
  selection?.addRange(range)
  look()
  await nextTick()
  bar.value?.querySelector<HTMLElement>('button, input')?.focus()
}
function mark(entry: LegendEntry): void {
  if (!selected.value) return
  const made = markOf(props.core.content, selected.value, entry.id)
  if (!made) {
    problem.value = 'Mark words of one paragraph, without formulas in between.'
    return
  }
  const marks = [...layer.value.marks, made]
  if (placeMarks(props.core.content, marks).overlapping.length > 0) {
    problem.value = 'Some of these words are marked already.'
    return
  }
  const isKnown = layer.value.legend.some((l) => l.id === entry.id)
  const legend = isKnown ? layer.value.legend : [...layer.value.legend, entry]
  layer.value = { ...layer.value, marks, legend }
  selected.value = null
  newName.value = ''
  if (wanted.value !== '') field.value?.querySelector('input')?.focus()
}
function markAnew(): void {
  const name = newName.value.trim()
  if (name === '') return
  const { legend } = layer.value
  const known = legend.find((l) => l.name.toLowerCase() === name.toLowerCase())
  const entry = known ?? newSort(legend, name)
  if (entry) mark(entry)
  else problem.value = `There are ${MOST_SORTS} kinds of marks already: use one of them.`
}
</script>

<template>
  <div class="grid gap-2">
    <!-- eslint-disable-next-line vue/no-v-html -- Markdown is rendered without HTML -->
    <div v-if="core.content" ref="text" class="prose core" data-hook="core-text" v-html="html" />
    <form v-if="core.content" ref="field" class="find" @submit.prevent="find">
      <span class="said w-full">Mark words: select them in the text, or type them here.</span>
      <UInput
        v-model="wanted"
        class="w-64"
        placeholder="Words of the text"
        aria-label="Words to mark: select them in the text, or type them here"
        name="words-to-mark"
      />
      <UButton type="submit" color="neutral" variant="outline" data-hook="find-words">Find</UButton>
      <p v-if="missing" class="note-line needs w-full" role="alert">{{ missing }}</p>
    </form>
    <div v-if="selected" ref="bar" class="bar" role="group" aria-label="Mark the selected words">
      <p>
        Mark “{{
          selected.words.trim().length > 60
            ? `${selected.words.trim().slice(0, 57)} …`
            : selected.words.trim()
        }}” as
      </p>
      <UButton
        v-for="entry in layer.legend"
        :key="entry.id"
        size="xs"
        color="neutral"
        variant="outline"
        @click="mark(entry)"
        >{{ entry.name }}</UButton
      >
      <form class="flex gap-1" @submit.prevent="markAnew">
        <UInput
          v-model="newName"
          class="w-32"
          placeholder="such as: cause"
          maxlength="40"
          aria-label="What the mark stands for"
          name="mark-as"
        />
        <UButton size="xs" type="submit" data-hook="mark-anew">Mark</UButton>
      </form>
      <p v-if="problem" class="note-line needs w-full" role="alert">{{ problem }}</p>
    </div>
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <ol v-if="core.items.length" class="items">
      <li v-for="item in core.items" :key="item.id" v-html="toInlineHtml(item.stem)" />
    </ol>
  </div>
</template>

<style scoped>
.core {
  max-height: 70vh;
  overflow-y: auto;
}
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
}
.bar {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
  padding: 0.5rem 0.6rem;
  background: var(--ui-bg-elevated);
  border: 1px solid var(--ui-border-accented);
  border-radius: 0.5rem;
  font-size: 0.83rem;
}
.items {
  list-style: decimal;
  padding-left: 1.4rem;
  font-size: 0.84rem;
  display: grid;
  gap: 0.25rem;
}
</style>

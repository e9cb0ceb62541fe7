<script setup lang="ts">
import { computed } from 'vue'
import { foldedName, proposedFiling } from '#core/filing'
import type { Filing } from '#core/filing'
import type { ResourceKind } from '#core/library'
import type { About } from '#core/work'

/** Under which heading learners find it, and in which part of the grade it counts; proposed by its kind and lesson. */
const props = defineProps<{
  filing: Filing
  /** Of its first piece. */
  kind: ResourceKind | null
  /** The unit of its lesson; '': it hangs on none. */
  unit: string
  /** What the class has names for, or the rest. */
  part: 'known' | 'rest'
}>()
const about = defineModel<About>({ required: true })
const LINES = [
  { name: 'heading', label: 'Heading', help: 'Learners find finished work under it.' },
  { name: 'category', label: 'Grading category', help: 'For you: where it counts.' },
] as const
type Name = (typeof LINES)[number]['name']
const names = computed<Record<Name, readonly string[]>>(() => ({
  heading: props.filing.headings,
  category: props.filing.categories.map((c) => c.name),
}))
/** A field stays where it is while something is typed into it. */
const lines = computed(() => LINES.filter((f) => names.value[f.name].length > 0 === (props.part === 'known')))
const proposed = computed(() =>
  props.kind === null ? null : proposedFiling(props.filing, { kind: props.kind, unit: props.unit }),
)
/** What may be taken over in a press; '' where something is said already, or nothing fits. */
function offerOf(name: Name): string {
  const isOut = name === 'category' && about.value.isRecommended
  return about.value[name] === '' && !isOut ? (proposed.value?.[name] ?? '') : ''
}
const set = (name: Name, to: string) => {
  about.value = { ...about.value, [name]: to }
}
/** That a name is new in the class, and that work without a category counts nowhere. */
function helpOf({ name, help }: (typeof LINES)[number]): string {
  if (name === 'category' && about.value.isRecommended) return 'Recommended work counts in none.'
  const known = names.value[name]
  const typed = foldedName(about.value[name])
  if (known.length === 0) return help
  if (typed === '') return name === 'category' ? `Without one it counts nowhere: ${known.join(', ')}.` : help
  return known.some((n) => foldedName(n) === typed) ? help : `New in this class, beside ${known.join(', ')}.`
}
</script>

<template>
  <UFormField v-for="f in lines" :key="f.name" :label="f.label" :help="helpOf(f)"
    ><div class="flex gap-2 items-center">
      <UInput
        class="flex-1"
        :name="f.name"
        maxlength="60"
        :list="`known-${f.name}`"
        :model-value="about[f.name]"
        @update:model-value="set(f.name, String($event))"
        @focusout="set(f.name, about[f.name].trim())"
      /><UButton
        v-if="offerOf(f.name)"
        size="xs"
        color="neutral"
        variant="outline"
        :data-hook="`propose-${f.name}`"
        @click="set(f.name, offerOf(f.name))"
        >Use “{{ offerOf(f.name) }}”</UButton
      >
    </div></UFormField
  >
  <datalist v-for="f in lines" :id="`known-${f.name}`" :key="f.name">
    <option v-for="n in names[f.name]" :key="n" :value="n" />
  </datalist>
</template>

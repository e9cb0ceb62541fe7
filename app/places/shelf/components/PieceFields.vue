<script setup lang="ts">
import { computed, ref } from 'vue'
import { RESOURCE_KINDS, RESOURCE_ROLES } from '#core/library'
import FoldButton from '~/shared/frame/FoldButton.vue'
import { sayLanguage } from '~/shared/words/languages'
import { count } from '~/shared/words/numbers'
import { KIND_WORDS, ROLE_WORDS } from '~/shared/words/pieces'
import type { PieceDraft } from '../pieceDraft'
import { useShelf } from '../stores/shelf'

/** What is said of a piece: its name, kind, use, minutes, readers and standards. */
const draft = defineModel<PieceDraft>({ required: true })
const shelf = useShelf()
const KINDS = RESOURCE_KINDS.map((value) => ({ label: KIND_WORDS[value], value }))
const ROLES = RESOURCE_ROLES.map((value) => ({ label: ROLE_WORDS[value], value }))
const LANGUAGES = ['en', 'es', 'fr', 'de', 'ar', 'uk', 'vi', 'zh'].map((value) => ({
  label: sayLanguage(value),
  value,
}))
const NOT_SAID = 'not-said'
const LEVELS = [
  { label: 'not said', value: NOT_SAID },
  ...Array.from({ length: 12 }, (_, i) => ({ label: `grade ${i + 1}`, value: String(i + 1) })),
]
const level = computed({
  get: () => draft.value.readingLevel || NOT_SAID,
  set: (value) => {
    draft.value.readingLevel = value === NOT_SAID ? '' : value
  },
})
const standards = computed(() =>
  (shelf.shelf?.standards ?? [])
    .filter((s) => s.level === 'standard')
    .map((s) => ({ label: `${s.code} ${s.text}`, value: s.code })),
)
const NO_STANDARDS = 'none besides its questions’'
const standardsLabel = computed(() => {
  const chosen = standards.value.filter((s) => draft.value.standards.includes(s.value))
  return chosen.length === 0 ? NO_STANDARDS : chosen.map((s) => s.label).join(', ')
})
/** What is seldom changed is said in one line, and unfolded to change it. */
const isOpen = ref(false)
const about = computed(() => {
  const { minutes, grade, role, language, readingLevel, code } = draft.value
  const chosen = draft.value.standards.length
  return [
    count(Number(minutes), 'minute'),
    `grade ${grade}`,
    ROLE_WORDS[role],
    sayLanguage(language),
    ...(readingLevel ? [`for readers of grade ${readingLevel}`] : []),
    ...(code ? [`code ${code}`] : []),
    chosen ? count(chosen, 'standard') : 'no standards besides its questions’',
  ].join(', ')
})
</script>

<template>
  <div class="grid gap-3">
    <div class="grid sm:grid-cols-[1fr_13rem] gap-3">
      <UFormField label="Title" name="title"
        ><UInput v-model="draft.title" name="title" maxlength="120" autofocus
      /></UFormField>
      <UFormField label="Kind"
        ><USelect v-model="draft.kind" :items="KINDS" class="w-full" data-hook="piece-kind"
      /></UFormField>
    </div>
    <div class="flex flex-wrap gap-x-3 gap-y-1 items-center">
      <p class="said" data-hook="piece-about">{{ about }}</p>
      <FoldButton v-model="isOpen" data-hook="piece-details">{{ isOpen ? 'Fold' : 'Change' }}</FoldButton>
    </div>
    <div v-show="isOpen" class="flex flex-wrap gap-3">
      <UFormField label="Minutes" name="minutes" class="w-24"
        ><UInput v-model.number="draft.minutes" type="number" min="1" max="300"
      /></UFormField>
      <UFormField label="Grade" name="grade" class="w-24"
        ><UInput v-model.number="draft.grade" type="number" min="1" max="13"
      /></UFormField>
      <UFormField label="Use" class="w-40"
        ><USelect v-model="draft.role" :items="ROLES" class="w-full"
      /></UFormField>
      <UFormField label="Language" class="w-36"
        ><USelect v-model="draft.language" :items="LANGUAGES" class="w-full"
      /></UFormField>
      <UFormField label="Suits readers of" class="w-36"
        ><USelect v-model="level" :items="LEVELS" class="w-full"
      /></UFormField>
      <UFormField label="Short code" name="code" hint="optional" class="w-40"
        ><UInput v-model="draft.code" maxlength="16" placeholder="made for you"
      /></UFormField>
    </div>
    <UFormField
      v-show="isOpen"
      label="Standards"
      help="Those of its questions are counted as well"
      class="max-w-2xl"
      ><USelectMenu
        v-model="draft.standards"
        multiple
        value-key="value"
        :items="standards"
        :placeholder="NO_STANDARDS"
        :aria-label="`${standardsLabel}: standards`"
        class="w-full"
    /></UFormField>
  </div>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { Translation } from '#core/versions'
import { sayLanguage } from '~/shared/words/languages'

/** Instructions in another language. */
const props = defineProps<{ translation: Translation | null }>()
const emit = defineEmits<{ translation: [translation: Translation] }>()
const LANGUAGES = ['es', 'fr', 'de', 'ar', 'uk', 'vi', 'zh'].map((value) => ({
  value,
  label: sayLanguage(value),
}))
const now = computed(() => props.translation ?? { language: 'es', instructions: '' })
function set(part: Partial<Translation>): void {
  emit('translation', { ...now.value, ...part })
}
</script>

<template>
  <div class="grid gap-1.5">
    <USelect
      size="sm"
      class="w-40"
      :model-value="now.language"
      :items="LANGUAGES"
      aria-label="Language"
      @update:model-value="set({ language: String($event) })"
    />
    <UTextarea
      :model-value="now.instructions"
      :rows="4"
      class="w-full"
      aria-label="Instructions in that language"
      @update:model-value="set({ instructions: String($event) })"
    />
  </div>
</template>

<script setup lang="ts">
import type { Resource } from '#core/library'
import type { Layer, LayerPart } from '#core/versions'
import { PART_WORDS } from '../words/parts'
import FramesForm from './parts/FramesForm.vue'
import GlossaryForm from './parts/GlossaryForm.vue'
import HintsForm from './parts/HintsForm.vue'
import ItemsForm from './parts/ItemsForm.vue'
import LinesForm from './parts/LinesForm.vue'
import MarksForm from './parts/MarksForm.vue'
import OrganisersForm from './parts/OrganisersForm.vue'
import TranslationForm from './parts/TranslationForm.vue'

/** The form of one part of a layer. */
defineProps<{ part: LayerPart; core: Resource }>()
const layer = defineModel<Layer>({ required: true })
function patch(part: Partial<Layer>): void {
  layer.value = { ...layer.value, ...part }
}
</script>

<template>
  <LinesForm
    v-if="part === 'steps' || part === 'wordBank' || part === 'starters'"
    :lines="layer[part]"
    :name="PART_WORDS[part].name"
    @lines="patch({ [part]: $event })"
  />
  <GlossaryForm
    v-else-if="part === 'glossary'"
    :entries="layer.glossary"
    @entries="patch({ glossary: $event })"
  />
  <FramesForm v-else-if="part === 'frames'" :frames="layer.frames" @frames="patch({ frames: $event })" />
  <MarksForm v-else-if="part === 'marks'" v-model="layer" :core="core" />
  <OrganisersForm
    v-else-if="part === 'organisers'"
    :organisers="layer.organisers"
    @organisers="patch({ organisers: $event })"
  />
  <HintsForm
    v-else-if="part === 'hints'"
    :core="core"
    :hints="layer.hints"
    @hints="patch({ hints: $event })"
  />
  <ItemsForm v-else-if="part === 'items'" :core="core" :kept="layer.items" @kept="patch({ items: $event })" />
  <UTextarea
    v-else-if="part === 'example'"
    :model-value="layer.example"
    :rows="6"
    class="w-full"
    aria-label="Worked example"
    @update:model-value="patch({ example: String($event) })"
  />
  <TranslationForm
    v-else-if="part === 'translation'"
    :translation="layer.translation"
    @translation="patch({ translation: $event })"
  />
  <p v-else>On.</p>
</template>

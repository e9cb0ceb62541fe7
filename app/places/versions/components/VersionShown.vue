<script setup lang="ts">
import { computed, ref } from 'vue'
import { forLearner } from '#core/library'
import type { Answer, Resource } from '#core/library'
import { composeVersion, isSupportItem } from '#core/versions'
import type { Layer } from '#core/versions'
import { AnswerInput, FillIn, PieceMaterial, SupportPanel } from '~/places/learner'

/** A version as a learner gets it, to be tried: nothing is recorded. */
const props = defineProps<{ core: Resource; layer: Layer }>()
const made = computed(() => composeVersion(props.core, props.layer))
const toFill = computed(() => made.value.resource.items.filter(isSupportItem))
const questions = computed(() => made.value.resource.items.filter((i) => !isSupportItem(i)))
const answers = ref<Record<string, Answer>>({})
function give(id: string, answer: Answer): void {
  answers.value = { ...answers.value, [id]: answer }
}
</script>

<template>
  <div :class="{ 'larger-type': made.support.largerType }" data-hook="version-shown">
    <PieceMaterial :material="core.material" :content="core.content" :support="made.support" />
    <SupportPanel :support="made.support" />
    <FillIn
      v-for="item in toFill"
      :key="item.id"
      :item="forLearner(item)"
      :organisers="made.support.organisers"
      :answer="answers[item.id]"
      :elsewhere="undefined"
      :spelling="false"
      @answer="give(item.id, $event)"
    />
    <div v-for="(item, i) in questions" :key="item.id" class="one">
      <AnswerInput
        :item="forLearner(item)"
        :number="i + 1"
        :answer="answers[item.id]"
        :is-final="false"
        :spelling="false"
        @answer="give(item.id, $event)"
      />
      <p v-if="item.hint" class="hint said">Hint: {{ item.hint }}</p>
    </div>
  </div>
</template>

<style scoped>
.one {
  padding-bottom: 0.6rem;
  border-bottom: 1px solid var(--ui-border);
}
.hint {
  margin: 0.4rem 0 0 1.9rem;
}
</style>

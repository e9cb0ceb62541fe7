<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { AttemptRules, BankPart } from '#core/attempts'
import type { ClassId } from '#core/base'
import type { ResourceKind } from '#core/library'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { PRESETS } from '~/shared/words/rules'
import { usePresets } from '../stores/presets'
import { rulesInWords } from '../words/rulesInWords'
import FoldButton from '~/shared/frame/FoldButton.vue'
import OwnPresets from './rules/OwnPresets.vue'
import RuleFields from './rules/RuleFields.vue'

defineProps<{
  scored: boolean
  hasPieces: boolean
  bank: readonly BankPart[]
  /** For what own rules can be kept. */
  kind: ResourceKind | null
  ofClass: { readonly id: ClassId; readonly name: string } | null
}>()
const rules = defineModel<AttemptRules>({ required: true })
const isOpen = ref(false)
/** In how many rules a set of ready rules is other than what is set; what is late is no part of it. */
const distance = (of: AttemptRules) => rulesInWords(rules.value, of).filter((l) => l.differs).length
const own = usePresets()
onMounted(() => void own.load())
/** The ready rules that ship, and the teacher's own. */
const ready = computed(() => [
  ...own.presets.map(({ id, name, rules: of }) => ({
    key: id as string,
    word: name,
    about: 'Rules of your own.',
    rules: of,
  })),
  ...PRESETS,
])
const preset = computed(() => ready.value.find((p) => distance(p.rules) === 0) ?? null)
const exactOwn = computed(() => own.presets.find((p) => p.id === preset.value?.key) ?? null)
/** The ready rules from which what is set differs least. */
const nearest = computed(() =>
  ready.value.reduce((a, b) => (distance(b.rules) < distance(a.rules) ? b : a), ready.value[0]!),
)
const lines = computed(() => rulesInWords(rules.value, nearest.value.rules))
const items = computed(() => ready.value.map(({ key, word }) => ({ value: key, label: word })))
function take(key: string | null): void {
  const chosen = ready.value.find((p) => p.key === key)
  if (chosen) rules.value = { ...chosen.rules, late: rules.value.late }
}
</script>

<template>
  <section aria-labelledby="how" class="grid gap-3 content-start">
    <h2 id="how">How</h2>
    <slot />
    <template v-if="scored">
      <ChoiceButtons
        label="Ready rules"
        :items="items"
        :model-value="nearest.key"
        @update:model-value="take"
      />
      <p class="said">
        {{ preset ? preset.about : `Like “${nearest.word}”, but for what is marked.` }}
      </p>
      <ul class="lines" data-hook="rules">
        <li v-for="l in lines" :key="l.text" :class="{ differs: l.differs }">
          {{ l.text }}<span v-if="l.differs" class="sr-only"> (changed)</span>
        </li>
      </ul>
      <OwnPresets
        v-if="!preset || exactOwn"
        :rules="rules"
        :exact="exactOwn"
        :kind="kind"
        :of-class="ofClass"
      />
      <FoldButton v-model="isOpen" data-hook="change-rules">Change rules</FoldButton>
      <RuleFields v-if="isOpen" v-model="rules" :bank="bank" />
    </template>
    <p v-else-if="!hasPieces" class="said">Rules come with the piece.</p>
    <p v-else class="said">What is only read is done when the learner says so: there is nothing to score.</p>
  </section>
</template>

<style scoped>
.lines {
  display: grid;
  gap: 0.2rem;
}
li {
  font-size: var(--text-sm);
  line-height: 1.35;
  padding-left: 0.6rem;
  border-left: 2px solid var(--ui-border);
}
.differs {
  border-color: var(--ui-primary);
  font-weight: 650;
}
</style>

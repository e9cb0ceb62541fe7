<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Help, KeptAnswer } from '#core/attempts'
import { isOmitted, isScoredByHand } from '#core/library'
import type { Answer, LearnerItem } from '#core/library'
import type { OpenTry, SeenItem } from '#shared/contracts/learning'
import { canReadAloud, readAloud } from '../readAloud'
import AnswerInput from './AnswerInput.vue'
import ItemResult from './ItemResult.vue'
import TwoAnswers from './TwoAnswers.vue'

const props = defineProps<{
  item: LearnerItem
  number: number
  answer: Answer | undefined
  /** What another page has answered meanwhile. */
  elsewhere: KeptAnswer | undefined
  /** There once it was answered for good. */
  given: Omit<SeenItem, 'item' | 'answer'> | undefined
  mode: OpenTry['mode']
  help: readonly Help[]
  /** Words that are looked for in a check of one's own. */
  expected: readonly string[]
  language: string
  busy: boolean
}>()
// few questions ask for a text, and fewer allow this
const OwnCheck = defineAsyncComponent(() => import('./support/OwnCheck.vue'))
defineEmits<{ answer: [answer: Answer]; choose: [which: 'theirs' | 'mine']; fix: [] }>()
const hasHint = ref(false)
const text = computed(() => (props.answer?.kind === 'extended' ? props.answer.text : ''))
const mayCheck = computed(() => props.item.kind === 'extended' && props.help.includes('own-check'))
/** A text that a person scores is not given for good before the whole is. */
const mayFix = computed(
  () => props.mode !== 'all' && !(props.mode === 'item-by-item' && isScoredByHand(props.item)),
)
const isLeftOut = computed(() => isOmitted(props.answer))
const word = computed(() => {
  if (props.mode === 'item-by-item') return 'Check this answer'
  return isLeftOut.value ? 'I do not know; next question' : 'Next question'
})
</script>

<template>
  <div class="question">
    <AnswerInput
      :item="item"
      :number="number"
      :answer="answer"
      :is-final="given !== undefined"
      :spelling="help.includes('spelling')"
      @answer="$emit('answer', $event)"
    />
    <TwoAnswers
      v-if="elsewhere"
      :item="item"
      :mine="answer ?? null"
      :theirs="elsewhere.answer"
      @choose="$emit('choose', $event)"
    />
    <div v-if="!given" class="acts">
      <UButton
        v-if="mayFix && !elsewhere"
        type="button"
        :color="isLeftOut ? 'neutral' : 'primary'"
        :variant="isLeftOut ? 'outline' : 'solid'"
        :disabled="mode === 'item-by-item' && isLeftOut"
        :loading="busy"
        data-hook="fix"
        @click="$emit('fix')"
        >{{ word }}</UButton
      >
      <UButton
        v-if="item.hint"
        type="button"
        color="neutral"
        variant="ghost"
        :aria-expanded="hasHint"
        data-hook="hint"
        @click="
          () => {
            hasHint = !hasHint
          }
        "
        >Hint</UButton
      >
      <UButton
        v-if="help.includes('read-aloud') && canReadAloud()"
        type="button"
        color="neutral"
        variant="ghost"
        :aria-label="`Read aloud question ${number}`"
        @click="readAloud(item)"
        >Read aloud</UButton
      >
    </div>
    <p v-if="hasHint && item.hint && !given" class="hint" role="status">{{ item.hint }}</p>
    <OwnCheck
      v-if="mayCheck && !given && item.kind === 'extended'"
      :text="text"
      :item="item"
      :expected="expected"
      :names-missing="help.includes('expected-words')"
      :spelling="help.includes('spelling') && language.startsWith('en')"
    />
    <ItemResult v-if="given" :shown="given" :of="item.points" />
  </div>
</template>

<style scoped>
.question {
  padding-bottom: 1.2rem;
  border-bottom: 1px solid var(--ui-border);
  display: grid;
  gap: 0.5rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding-left: 1.9rem;
}
.acts:empty {
  display: none;
}
.hint {
  margin-left: 1.9rem;
  padding-left: 0.75rem;
  border-left: 3px solid var(--ui-primary);
}
</style>

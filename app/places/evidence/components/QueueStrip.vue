<script setup lang="ts">
import { scoringState } from '#core/evidence'
import type { AnswerToScore, ScoringState } from '#core/evidence'
import { shortfallOf } from '#core/writing'

/** All texts as small stones: outlined while they wait, half while they are begun, filled once scored. */
defineProps<{ answers: readonly AnswerToScore[]; at: number; nameOf: (i: number) => string }>()
defineEmits<{ go: [place: number] }>()
const WORDS: Readonly<Record<ScoringState, string>> = {
  waits: 'to score',
  begun: 'begun',
  scored: 'scored, not released',
  released: 'released',
}
function isShort({ item, answer }: AnswerToScore): boolean {
  return item.kind === 'extended' && answer.kind === 'extended' && shortfallOf(answer.text, item) !== null
}
function say(answer: AnswerToScore, name: string): string {
  const tries = answer.number > 1 ? `, try ${answer.number}` : ''
  const again = answer.draft?.again ? ', for another go' : ''
  return `${name}${tries}: ${WORDS[scoringState(answer)]}${again}${isShort(answer) ? ', far too short' : ''}`
}
</script>

<template>
  <nav class="strip" aria-label="Texts">
    <button
      v-for="(answer, i) in answers"
      :key="`${answer.attemptId} ${answer.itemId}`"
      type="button"
      :class="[scoringState(answer), { short: isShort(answer) }]"
      :aria-current="i === at || undefined"
      :aria-label="`${i + 1}, ${say(answer, nameOf(i))}`"
      :title="say(answer, nameOf(i))"
      data-hook="queue-stone"
      @click="$emit('go', i)"
    >
      <UIcon v-if="scoringState(answer) === 'released'" name="i-lucide-check" aria-hidden="true" /><template
        v-else
        >{{ i + 1 }}<UIcon v-if="answer.draft?.again" name="i-lucide-undo-2" class="back" aria-hidden="true"
      /></template>
    </button>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0.5rem 1rem;
  border-bottom: 1px solid var(--ui-border);
}
button {
  min-width: 1.9rem;
  height: 1.7rem;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.15rem;
  padding-inline: 0.3rem;
  border: 1.5px solid var(--ui-border-accented);
  border-radius: 0.5rem 0.4rem 0.55rem 0.35rem;
  background: var(--stone-face);
  color: var(--ui-text);
  font-size: var(--text-xs);
  font-variant-numeric: tabular-nums;
}
button.begun {
  background: linear-gradient(to top, var(--ui-bg-accented) 50%, var(--stone-face) 50%);
}
button.scored {
  background: var(--ui-text-toned);
  border-color: var(--ui-text-toned);
  color: var(--ui-bg);
}
button.released {
  color: var(--ui-success);
}
.back {
  width: 0.75rem;
  height: 0.75rem;
}
button[aria-current] {
  box-shadow:
    0 0 0 2px var(--ui-bg),
    0 0 0 4px var(--ui-primary);
}
.short {
  border-bottom: 3px double var(--ui-warning);
}
</style>

<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'
import type { AnswerToScore } from '#core/evidence'
import { givenInWords } from '#core/library'
import { partsOf } from '#core/writing'
import { FillIn } from '~/places/learner'
import FileList from '~/shared/fields/FileList.vue'
import { useOverview } from '~/shared/session/overview'
import { sayMoment } from '~/shared/words/times'
import { downloadCells } from '~/shared/wire/download'
import { toHtml, toInlineHtml } from '~/shared/words/markdown'
import { figuresAsTable, figuresIn, sayFigures } from '../textFigures'

/** One text as it was written, with its plan before it and its figures below. */
const props = defineProps<{
  answer: AnswerToScore
  answers: readonly AnswerToScore[]
  name: string
  content: string
}>()
const overview = useOverview()
const pane = useTemplateRef<HTMLElement>('pane')
const words = computed(() => givenInWords(props.answer.item, props.answer.answer))
const parts = computed(() => partsOf(words.value, props.answer.expected))
const figures = computed(() => {
  const found = figuresIn(props.answer)
  return found && sayFigures(found)
})
watch(
  () => `${props.answer.attemptId} ${props.answer.itemId}`,
  () => {
    if (pane.value) pane.value.scrollTop = 0
  },
)
function scroll(pages: 1 | -1): void {
  pane.value?.scrollBy({ top: pages * pane.value.clientHeight * 0.85 })
}
defineExpose({ scroll, focus: () => pane.value?.focus({ preventScroll: true }) })
const download = () => downloadCells('text-figures.csv', figuresAsTable(props.answers))
</script>

<template>
  <section ref="pane" class="pane" tabindex="0" :aria-label="`Text of ${name}`" data-hook="text-to-read">
    <!-- eslint-disable vue/no-v-html -- Markdown is rendered without HTML -->
    <header class="flex items-baseline gap-3 flex-wrap">
      <h2>
        {{ name }}<span v-if="answer.number > 1" class="said">, try {{ answer.number }}</span>
      </h2>
      <p class="said" v-html="toInlineHtml(answer.item.stem)" />
    </header>
    <p v-if="answer.otherTask" class="said" data-hook="other-task">
      Another task in its place: {{ answer.otherTask }}
    </p>
    <details v-else-if="content">
      <summary>The task</summary>
      <div class="prose" v-html="toHtml(content)" />
    </details>
    <details v-if="answer.filledIn.length" :key="answer.attemptId" open data-hook="filled-in">
      <summary>Their plan</summary>
      <FillIn
        v-for="f in answer.filledIn"
        :key="f.item.id"
        :item="f.item"
        :organisers="answer.organisers"
        :answer="f.answer"
        :elsewhere="undefined"
        :spelling="false"
        is-final
      />
    </details>
    <section
      v-if="answer.files.length"
      class="grid gap-2"
      aria-label="Files handed in"
      data-hook="files-to-look-at"
    >
      <h3>Files handed in</h3>
      <FileList :files="answer.files" :about="(f) => sayMoment(f.handedAt, overview.zone)" />
    </section>
    <p v-if="!words && answer.files.length" class="said">No text beside the files.</p>
    <p v-else class="text" data-hook="text">
      <template v-for="(part, i) in parts" :key="i"
        ><mark v-if="part.isExpected">{{ part.text }}</mark
        ><template v-else>{{ part.text }}</template></template
      >
    </p>
    <footer v-if="figures && words" class="said flex flex-wrap items-center gap-x-3">
      <span data-hook="text-figures">{{ figures }}</span>
      <UButton size="xs" color="neutral" variant="link" data-hook="figures-csv" @click="download"
        >Figures of all texts as CSV</UButton
      >
    </footer>
  </section>
</template>

<style scoped>
.pane {
  overflow: auto;
  padding: 1rem 1.4rem 2rem;
  display: grid;
  gap: 0.8rem;
  align-content: start;
}
/* inside what would cut it off */
.pane:focus-visible {
  outline-offset: -3px !important;
}
.text {
  white-space: pre-wrap;
  max-width: 68ch;
  font-size: 1.01rem;
  line-height: 1.65;
  padding: 0.9rem 1.1rem;
  background: var(--stone-face);
  border: 1px solid var(--ui-border);
  border-radius: 0.5rem 0.4rem 0.55rem 0.4rem;
  overflow-wrap: anywhere;
}
mark {
  background: none;
  color: inherit;
  border-bottom: 2px solid var(--ui-primary);
}
summary {
  cursor: pointer;
}
</style>

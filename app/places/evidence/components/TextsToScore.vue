<script setup lang="ts">
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { AssignmentId, ClassId, PieceId } from '#core/base'
import type { AnswerToScore } from '#core/evidence'
import { givenInWords } from '#core/library'
import { ListToScore, ScoreAnswer } from '#shared/contracts/evidence'
import { FillIn } from '~/places/learner'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { figuresAsTable, figuresIn, sayFigures } from '../textFigures'

/** Answers that a person scores: one after the other, by number keys or by mouse. */
const props = defineProps<{
  assignmentId: AssignmentId
  pieceId: PieceId
  classId: ClassId
}>()
const emit = defineEmits<{ scored: [] }>()
const tell = useTell()
const answers = shallowRef<readonly AnswerToScore[]>([])
const at = ref(0)
const comment = ref('')
const busy = ref(false)
const box = useTemplateRef<HTMLElement>('box')
async function load(): Promise<void> {
  const { assignmentId, pieceId, classId } = props
  const reply = await call(ListToScore, { params: { assignmentId }, query: { classId, pieceId } })
  answers.value = reply.ok ? reply.value.answers : []
  at.value = 0
}
watch(() => [props.assignmentId, props.pieceId, props.classId], load, { immediate: true })
const current = computed(() => answers.value[at.value] ?? null)
const item = computed(() => current.value?.item ?? null)
const figures = computed(() => {
  const found = current.value ? figuresIn(current.value) : null
  return found && sayFigures(found)
})
const waiting = computed(() => answers.value.filter((a) => a.points === null).length)
/** Whole points as buttons; few enough to have a key each. */
const levels = computed(() => Array.from({ length: Math.min(10, item.value?.points ?? 0) + 1 }, (_, i) => i))
watch(current, (answer) => {
  comment.value = answer?.comment ?? ''
})

function go(by: 1 | -1): void {
  at.value = Math.max(0, Math.min(answers.value.length - 1, at.value + by))
}
async function give(points: number): Promise<void> {
  const { attemptId, itemId } = current.value ?? {}
  if (!attemptId || !itemId || busy.value) return
  busy.value = true
  const reply = await call(ScoreAnswer, {
    params: { attemptId },
    body: { itemId, points, comment: comment.value },
  })
  busy.value = false
  if (!reply.ok) return tell.refused(reply.error)
  const said = comment.value.trim()
  answers.value = answers.value.map((a, i) => (i === at.value ? { ...a, points, comment: said } : a))
  const next = answers.value.findIndex((a) => a.points === null)
  if (next >= 0) at.value = next
  emit('scored')
  await nextTick()
  box.value?.focus()
}
/** Figures of all texts, for a spreadsheet. */
async function download(): Promise<void> {
  const { printCells } = await import('#core/formats')
  const link = document.createElement('a')
  const text = printCells(figuresAsTable(answers.value))
  link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }))
  link.download = 'text-figures.csv'
  link.click()
  URL.revokeObjectURL(link.href)
}
function byKey(event: KeyboardEvent): void {
  const isTyping = event.target instanceof HTMLTextAreaElement
  const points = Number(event.key)
  if (!isTyping && event.key.trim() !== '' && levels.value.includes(points)) void give(points)
  else if (!isTyping && event.key === 'ArrowRight') go(1)
  else if (!isTyping && event.key === 'ArrowLeft') go(-1)
  else return
  event.preventDefault()
}
</script>

<template>
  <section
    v-if="current && item"
    ref="box"
    class="score"
    tabindex="0"
    aria-label="Texts to score"
    data-hook="to-score"
    @keydown="byKey"
  >
    <header class="flex items-center gap-2">
      <h3 class="flex-1">
        {{ current.name }}<span v-if="current.number > 1" class="said">, try {{ current.number }}</span>
      </h3>
      <span class="said" role="status" data-hook="waiting">{{
        waiting ? `${count(waiting, 'text')} to score` : 'all scored'
      }}</span>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-arrow-left"
        aria-label="Text before"
        @click="go(-1)"
      />
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-arrow-right"
        aria-label="Next text"
        @click="go(1)"
      />
    </header>
    <details v-if="current.filledIn.length" :key="current.attemptId" data-hook="filled-in">
      <summary>Their plan</summary>
      <FillIn
        v-for="f in current.filledIn"
        :key="f.item.id"
        :item="f.item"
        :organiser="current.organiser"
        :answer="f.answer"
        :elsewhere="undefined"
        :spelling="false"
        is-final
      />
    </details>
    <blockquote>{{ givenInWords(item, current.answer) }}</blockquote>
    <p v-if="figures" class="said" data-hook="text-figures">
      {{ figures }}
      <UButton size="xs" color="neutral" variant="ghost" data-hook="figures-csv" @click="download"
        >All figures as CSV</UButton
      >
    </p>
    <p v-if="item.kind === 'extended' && item.guide" class="said">Points for: {{ item.guide }}</p>
    <UFormField label="To the learner" help="Shown with the score"
      ><UTextarea v-model="comment" :rows="2" autoresize name="comment"
    /></UFormField>
    <div class="flex flex-wrap gap-1 items-center" role="group" aria-label="Points">
      <UButton
        v-for="n in levels"
        :key="n"
        color="neutral"
        :variant="current.points === n ? 'solid' : 'outline'"
        :aria-pressed="current.points === n"
        :disabled="busy"
        :data-hook="`points-${n}`"
        @click="give(n)"
        >{{ n }}</UButton
      >
      <span class="said">of {{ item.points }}; number keys give points, arrows turn over</span>
    </div>
  </section>
</template>

<style scoped>
.score {
  display: grid;
  gap: 0.6rem;
  padding: 0.8rem;
  margin-top: 0.8rem;
  border: 1px solid var(--ui-border-accented);
  border-radius: 8px;
  background: var(--ui-bg);
}
.score:focus-visible {
  outline: 2px solid var(--ui-primary);
}
blockquote {
  white-space: pre-wrap;
  padding-left: 0.75rem;
  border-left: 3px solid var(--ui-border-accented);
  max-height: 16rem;
  overflow: auto;
}
</style>

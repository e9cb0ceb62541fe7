<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { AttemptRules } from '#core/attempts'
import type { Preview, Recipients } from '#shared/contracts/work'
import { hasRules } from '#core/library'
import { rulesOf } from '#core/work'
import type { WorkPiece } from '#core/work'
import { useShelf } from '~/places/shelf'
import type { DraftInWork } from '../draft'
import { differing } from '../draft'
import { rulesInWords } from '../words/rulesInWords'
import RulesPanel from './RulesPanel.vue'

const props = defineProps<{ banks: Preview['banks']; recipients: Recipients }>()
const draft = defineModel<DraftInWork>({ required: true })
const shelf = useShelf()
const ALL = 'all'
const chosen = ref<string>(ALL)

/** Pieces for which there is something to rule. */
const ruled = computed(() =>
  draft.value.pieces.flatMap((p) => {
    const card = shelf.piece(p.resourceId)
    return !card || hasRules(card) ? [{ piece: p, title: card?.title ?? 'A piece' }] : []
  }),
)
/** Whether pieces go by rules of their own: each is then said in a line. */
const differ = computed(
  () => ruled.value.length > 1 && ruled.value.some(({ piece: p }) => Object.keys(p.rules).length > 0),
)
const sayRules = (of: WorkPiece) =>
  rulesInWords(rulesOf(draft.value, of), null)
    .slice(0, 3)
    .map((l) => l.text.toLowerCase())
    .join(', ')
const choices = computed(() => [
  { label: 'All pieces', value: ALL },
  ...ruled.value.map(({ piece, title }) => ({
    label: Object.keys(piece.rules).length > 0 ? `${title} (own rules)` : title,
    value: piece.id as string,
  })),
])
const piece = computed(() => draft.value.pieces.find((p) => p.id === chosen.value) ?? null)
watch(ruled, () => {
  if (!ruled.value.some((s) => s.piece.id === chosen.value)) chosen.value = ALL
})

/** For what rules can be kept: the kind of the piece they are for, and the first class. */
const kind = computed(() => {
  const of = piece.value ?? ruled.value[0]?.piece
  return (of && shelf.piece(of.resourceId)?.kind) ?? null
})
const ofClass = computed(() => {
  const first = draft.value.targets.find((t) => t.target.kind === 'class')?.target
  return props.recipients.classes.find((c) => first?.kind === 'class' && c.id === first.classId) ?? null
})

/** What can be drawn from: of the chosen piece, else of the first that has items. */
const bank = computed(
  () => (props.banks.find((b) => b.pieceId === chosen.value) ?? props.banks[0])?.parts ?? [],
)
/** Rules of the chosen piece; what it has in common with the others is kept with the assignment only. */
const rules = computed<AttemptRules>({
  get: () => (piece.value ? rulesOf(draft.value, piece.value) : draft.value.rules),
  set: (next) => {
    const of = piece.value
    if (!of) draft.value = { ...draft.value, rules: next }
    else
      draft.value = {
        ...draft.value,
        pieces: draft.value.pieces.map((p) =>
          p.id === of.id ? { ...p, rules: differing(draft.value.rules, next) } : p,
        ),
      }
  },
})
</script>

<template>
  <div class="grid gap-3 content-start">
    <RulesPanel
      v-model="rules"
      :scored="ruled.length > 0"
      :has-pieces="draft.pieces.length > 0"
      :bank="bank"
      :kind="kind"
      :of-class="ofClass"
    >
      <USelect
        v-if="ruled.length > 1"
        v-model="chosen"
        class="w-full"
        :items="choices"
        aria-label="Rules of"
        data-hook="rules-of"
      />
      <ul v-if="differ" class="grid gap-1.5" data-hook="rules-by-piece">
        <li v-for="r in ruled" :key="r.piece.id" class="said">
          <b>{{ r.title }}</b>: {{ sayRules(r.piece) }}
        </li>
      </ul>
    </RulesPanel>
  </div>
</template>

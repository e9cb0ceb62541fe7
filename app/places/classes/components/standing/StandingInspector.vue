<script setup lang="ts">
import { computed } from 'vue'
import type { LessonId, StandingId } from '#core/base'
import { standingOf, usualWhen, usualWindow } from '#core/standing'
import type { StandingPiece } from '#core/standing'
import type { When } from '#core/work'
import type { PieceCard } from '#shared/contracts/library'
import type { StandingOfPlan } from '#shared/contracts/standing'
import { useShelf, useTray } from '~/places/shelf'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import RulesSelect from '~/shared/fields/RulesSelect.vue'
import { KIND_WORDS, WHEN_WORDS, sayPiece } from '~/shared/words/pieces'
import AnchorSentence from './AnchorSentence.vue'

/** A lesson's standing work: what goes with it in every class, when, and under which rules. */
const props = defineProps<{
  of: StandingOfPlan
  lessonId: LessonId
  standing: StandingOfPlan['standing']
}>()
const emit = defineEmits<{
  close: []
  add: [pieces: readonly StandingPiece[]]
  change: [id: StandingId, piece: StandingPiece | null]
}>()
const shelf = useShelf()
const tray = useTray()
void tray.load()
const lesson = computed(() => props.of.plan.lessons.find((l) => l.id === props.lessonId) ?? null)
const lessons = computed(() =>
  props.of.plan.lessons.map((l) => ({ value: l.id, label: `${l.number} ${l.title}` })),
)
const has = computed(
  () => new Set(props.standing.flatMap((s) => s.piece.pieces.map((p) => p.resourceId as string))),
)
const offered = computed(() =>
  shelf.piecesOf(lesson.value?.bookLessonId ?? null).filter((p) => !has.value.has(p.id)),
)
const inTray = computed(() => tray.cards.filter((p) => !has.value.has(p.id)))
const WHENS = (['before', 'in', 'after'] as const).map((value) => ({ value, label: WHEN_WORDS[value] }))
function add(card: PieceCard): void {
  const { id: resourceId, ...rest } = card
  emit('add', [
    standingOf(props.lessonId, { ...rest, resourceId }, usualWindow(props.lessonId, usualWhen(card.kind))),
  ])
}
function setWhen(s: StandingOfPlan['standing'][number], when: When | null): void {
  if (!when) return
  const { window } = usualWindow(props.lessonId, when)
  emit('change', s.id, { ...s.piece, window, pieces: s.piece.pieces.map((p) => ({ ...p, when })) })
}
function setMoment(
  s: StandingOfPlan['standing'][number],
  field: 'opens' | 'due' | 'closes',
  moment: StandingPiece['window']['opens'],
): void {
  const window = { ...s.piece.window, [field]: moment }
  // learners see it when it opens, not before
  emit('change', s.id, { ...s.piece, window: field === 'opens' ? { ...window, listed: moment } : window })
}
const kindOf = (s: StandingOfPlan['standing'][number]) =>
  props.of.pieces.find((p) => p.id === s.piece.pieces[0]?.resourceId)
</script>

<template>
  <aside class="inspector" aria-label="Standing work of a lesson" data-hook="standing-inspector">
    <div class="flex items-start gap-2">
      <h2 class="flex-1">{{ lesson?.number }} {{ lesson?.title }}</h2>
      <UButton
        size="xs"
        color="neutral"
        variant="ghost"
        icon="i-lucide-x"
        aria-label="Close"
        @click="emit('close')"
      />
    </div>
    <p v-if="standing.length === 0" class="said">Nothing goes with this lesson yet.</p>
    <fieldset v-for="s in standing" :key="s.id" class="piece" :disabled="!of.mayEdit">
      <legend>{{ s.piece.title }}</legend>
      <p v-if="kindOf(s)" class="said">
        {{ KIND_WORDS[kindOf(s)!.kind] }} · {{ kindOf(s)!.minutes }} min ·
        <span class="code">{{ kindOf(s)!.code }}</span>
      </p>
      <ChoiceButtons
        :label="`When: ${s.piece.title}`"
        :items="WHENS"
        :model-value="s.piece.pieces[0]?.when ?? null"
        @update:model-value="setWhen(s, $event)"
      />
      <AnchorSentence
        v-for="field in ['opens', 'due', 'closes'] as const"
        :key="field"
        :label="field === 'opens' ? 'Opens' : field === 'due' ? 'Due' : 'Closes later than due'"
        :lesson-id="lessonId"
        :lessons="lessons"
        :disabled="!of.mayEdit"
        :model-value="s.piece.window[field]"
        @update:model-value="setMoment(s, field, $event)"
      />
      <div class="flex items-center gap-2">
        <RulesSelect
          class="flex-1"
          :label="`Rules: ${s.piece.title}`"
          :model-value="s.piece.rules"
          @update:model-value="emit('change', s.id, { ...s.piece, rules: $event })"
        />
        <UButton
          v-if="of.mayEdit"
          size="xs"
          color="neutral"
          variant="outline"
          data-hook="take-out"
          @click="emit('change', s.id, null)"
          >Take out</UButton
        >
      </div>
    </fieldset>
    <template v-if="of.mayEdit">
      <h3>Add</h3>
      <ul class="grid gap-1">
        <li v-for="p in [...offered, ...inTray]" :key="p.id" class="flex items-start gap-2">
          <div class="flex-1 min-w-0">
            {{ p.title }}
            <p class="said">{{ sayPiece(p) }}</p>
          </div>
          <UButton
            size="xs"
            variant="outline"
            :aria-label="`Add ${p.title}`"
            data-hook="add-standing"
            @click="add(p)"
            >Add</UButton
          >
        </li>
      </ul>
      <p v-if="offered.length + inTray.length === 0" class="said">
        All pieces of this lesson are there. Put others into the tray on the
        <NuxtLink class="plain" to="/shelf">shelf</NuxtLink>, and they appear here.
      </p>
    </template>
  </aside>
</template>

<style scoped>
.inspector {
  display: grid;
  gap: 0.75rem;
  align-content: start;
  border-left: 1px solid var(--ui-border);
  padding-left: 1rem;
  position: sticky;
  top: 0;
  max-height: calc(100vh - 5rem);
  overflow: auto;
}
.piece {
  display: grid;
  gap: 0.45rem;
  border-top: 1px solid var(--ui-border);
  padding-top: 0.5rem;
}
.piece legend {
  font-weight: 600;
  float: left;
  width: 100%;
}
@media (max-width: 900px) {
  .inspector {
    border-left: 0;
    padding-left: 0;
    position: static;
    max-height: none;
  }
}
</style>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { same } from '#core/base'
import type { ClassId, Instant, LessonId, PieceId } from '#core/base'
import { MOST_PIECES, WHENS, momentsOf } from '#core/work'
import type { When, WorkPiece } from '#core/work'
import type { PieceCard } from '#shared/contracts/library'
import type { Preview, WorkPage } from '#shared/contracts/work'
import ChoiceButtons from '~/shared/fields/ChoiceButtons.vue'
import { useDesk } from '~/places/pace'
import { FormDifference, PiecePicker, QuickPiece, useShelf } from '~/places/shelf'
import { count } from '~/shared/words/numbers'
import { WHEN_WORDS, sayPiece } from '~/shared/words/pieces'
import { sayMoment } from '~/shared/words/times'
import LikelyPieces from './LikelyPieces.vue'
import OnlyForSome from './OnlyForSome.vue'

const props = defineProps<{
  preview: Preview | null
  known: WorkPage | null
  /** The lesson to which "before" and "after class" refer. */
  lesson: LessonId | null
  zone: string
  now: Instant
  /** The classes that are meant. */
  classIds: readonly ClassId[]
}>()
const emit = defineEmits<{ add: [card: PieceCard] }>()
const pieces = defineModel<readonly WorkPiece[]>({ required: true })
const shelf = useShelf()
const desk = useDesk()
const className = computed(() => desk.classes.find((c) => c.id === props.classIds[0])?.shortName ?? null)

const slips = computed(() =>
  pieces.value.map((piece, at) => {
    const card = shelf.piece(piece.resourceId)
    return {
      piece,
      at,
      card,
      title: card?.title ?? 'A piece',
      begun: props.known?.begunOf[piece.id] ?? 0,
      isOlder: card !== null && card.revision > piece.revision,
      own: ownMoments(piece.id),
    }
  }),
)
const minutes = computed(() => slips.value.reduce((sum, s) => sum + (s.card?.minutes ?? 0), 0))
const isForSome = computed(() => pieces.value.some((p) => p.onlyIds))
const several = computed(() => pieces.value.length > 1)
const WHEN_ITEMS = WHENS.map((value) => ({ value, label: WHEN_WORDS[value], hook: `when-${value}` }))

/** Where a piece has moments of its own: what comes of them, class by class where they differ. */
function ownMoments(id: PieceId): string {
  const lines = (props.preview?.classes ?? []).flatMap(({ name, pieces: own }) => {
    const window = own.find((p) => p.pieceId === id)?.window
    if (!window) return []
    const opens = window.opens === null ? '' : `opens ${sayMoment(window.opens, props.zone, 'opens')}`
    const due = window.due === null ? '' : `due ${sayMoment(window.due, props.zone, 'due')}`
    return [`${name}: ${[opens, due].filter(Boolean).join(', ')}`]
  })
  return lines.join('. ')
}

/** The textbook lesson on which the one at hand draws. */
const bookLessonId = computed(
  () => desk.plans.flatMap((p) => p.lessons).find((l) => l.id === props.lesson)?.bookLessonId ?? null,
)
const isAdding = ref(false)
function patch(at: number, part: Partial<WorkPiece>): void {
  pieces.value = pieces.value.map((p, i) => (i === at ? { ...p, ...part } : p))
}
function setWhen(at: number, when: When | null): void {
  if (when) patch(at, { when, window: momentsOf(when, props.lesson) })
}
// pieces before and after class go along when the work hangs on another lesson
watch(
  () => props.lesson,
  (lesson, before) => {
    pieces.value = pieces.value.map((p) =>
      same(p.window, momentsOf(p.when, before)) ? { ...p, window: momentsOf(p.when, lesson) } : p,
    )
  },
)
function move(at: number, by: 1 | -1): void {
  const next = [...pieces.value]
  const [taken] = next.splice(at, 1)
  if (taken) next.splice(at + by, 0, taken)
  pieces.value = next
}
function remove(at: number): void {
  pieces.value = pieces.value.filter((_, i) => i !== at)
}
</script>

<template>
  <div class="grid gap-2.5" data-hook="pieces">
    <ol class="grid gap-2">
      <li v-for="s in slips" :key="s.piece.id" class="slip" data-hook="slip">
        <div class="flex items-start gap-1">
          <div class="flex-1 min-w-0">
            <NuxtLink
              class="plain font-semibold"
              :to="{ path: '/shelf', query: { piece: s.piece.resourceId } }"
              >{{ s.title }}</NuxtLink
            >
            <p v-if="s.card" class="said">
              {{ sayPiece(s.card) }} · <span class="code">{{ s.card.code }}</span>
            </p>
          </div>
          <div v-if="several" class="flex flex-none">
            <UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-chevron-up"
              :disabled="s.at === 0"
              :aria-label="`Move ${s.title} up`"
              @click="move(s.at, -1)"
            />
            <UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-chevron-down"
              :disabled="s.at === slips.length - 1"
              :aria-label="`Move ${s.title} down`"
              @click="move(s.at, 1)"
            />
            <UButton
              size="xs"
              color="neutral"
              variant="ghost"
              icon="i-lucide-x"
              :disabled="s.begun > 0"
              :aria-label="`Take ${s.title} out`"
              @click="remove(s.at)"
            />
          </div>
        </div>
        <ChoiceButtons
          v-if="several || s.piece.when !== 'in'"
          class="mt-1.5"
          :label="`${s.title}: when`"
          :items="WHEN_ITEMS"
          :model-value="s.piece.when"
          @update:model-value="setWhen(s.at, $event)"
        />
        <p v-if="s.own" class="said mt-1" data-hook="own-moments">{{ s.own }}</p>
        <p v-else-if="s.piece.when !== 'in' && !lesson" class="said mt-1">
          Hangs on no lesson, so the dates below hold.
        </p>
        <OnlyForSome
          :piece="s.piece"
          :title="s.title"
          :preview="preview"
          @everybody="patch(s.at, { onlyIds: undefined })"
        />
        <UCheckbox
          class="mt-1.5"
          size="sm"
          label="Handed in together: one for the team"
          data-hook="hand-in-together"
          :model-value="s.piece.handIn === 'together'"
          @update:model-value="patch(s.at, { handIn: $event === true ? 'together' : 'alone' })"
        />
        <label v-if="s.card?.itemCount === 0" class="said flex items-center gap-1.5 mt-1.5"
          >Open at least
          <UInput
            class="!w-16"
            size="xs"
            type="number"
            min="0"
            max="600"
            :model-value="s.piece.leastMinutes"
            @update:model-value="patch(s.at, { leastMinutes: Math.max(0, Math.trunc(Number($event)) || 0) })"
          />min to be done</label
        >
        <p v-if="s.isOlder" class="note-line care mt-1.5" data-hook="newer-form">
          This piece was changed since.
          <UButton
            size="xs"
            variant="link"
            class="px-0"
            data-hook="take-newer"
            @click="patch(s.at, { revision: s.card!.revision })"
            >{{
              s.begun
                ? `Give the new form to all but the ${count(s.begun, 'learner')} who began`
                : 'Give the new form'
            }}</UButton
          >
        </p>
        <details v-if="s.isOlder" class="mt-1.5" data-hook="what-changed">
          <summary class="plain">What changed</summary>
          <FormDifference class="mt-2" :resource-id="s.piece.resourceId" :revision="s.piece.revision" />
        </details>
        <p v-if="s.begun" class="said mt-1">{{ count(s.begun, 'learner has', 'learners have') }} begun it.</p>
      </li>
    </ol>
    <p v-if="several" class="said" data-hook="pieces-sum">
      {{ count(pieces.length, 'piece') }}, {{ minutes }} min together{{
        isForSome ? ', not all of it for everybody' : ''
      }}. What comes before class stands first for learners.
    </p>
    <UButton
      v-if="pieces.length < MOST_PIECES"
      class="justify-self-start"
      variant="outline"
      icon="i-lucide-plus"
      data-hook="add-piece"
      @click="
        () => {
          isAdding = true
        }
      "
      >Add a piece</UButton
    >
    <QuickPiece v-if="pieces.length === 0" :book-lesson-id="bookLessonId" @made="emit('add', $event)" />
    <PiecePicker
      v-model:open="isAdding"
      :class-id="classIds[0] ?? null"
      :class-name="className"
      :taken="pieces.map((p) => p.resourceId)"
      @add="emit('add', $event)"
    >
      <template #default="{ done }"
        ><LikelyPieces
          class="mt-3"
          :class-ids="classIds"
          :now="now"
          @add="
            (card) => {
              emit('add', card)
              done()
            }
          "
      /></template>
    </PiecePicker>
  </div>
</template>

<style scoped>
.slip {
  padding: 0.55rem 0 0.6rem;
  border-bottom: 1px solid var(--ui-border);
}
</style>

<script setup lang="ts">
import { cloneFnJSON } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, toRef, watch } from 'vue'
import type { LessonId } from '#core/base'
import { ListRecipients } from '#shared/contracts/work'
import type { PieceCard } from '#shared/contracts/library'
import type { Recipients, WorkPage } from '#shared/contracts/work'
import type { Refusal } from '#shared/contracts/refusal'
import { usePreview } from '../composables/composing'
import { useKeptDraft } from '../composables/keptDraft'
import { useSaving } from '../composables/saving'
import { useServerNow } from '~/shared/session/serverNow'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { call } from '~/shared/wire/call'
import { sayRefusal } from '~/shared/words/refusals'
import { zoneNamed } from '~/shared/words/times'
import type { DraftInWork } from '../draft'
import { classesMeant } from '../picking'
import { firstClassOf, ruledForClass, withCard } from '../pieceRules'
import { lessonsOffered } from '../lessonsOffered'
import { namesIn } from '../namesIn'
import { UNNAMED } from '../starting'
import { usePresets } from '../stores/presets'
import AboutPanel from './AboutPanel.vue'
import BegunBefore from './BegunBefore.vue'
import ComposerActs from './ComposerActs.vue'
import HowPanel from './HowPanel.vue'
import LastLook from './LastLook.vue'
import LikelyPieces from './LikelyPieces.vue'
import PiecesPanel from './PiecesPanel.vue'
import TeamsPanel from './TeamsPanel.vue'
import VersionsPanel from './VersionsPanel.vue'
import WhoAndWhen from './WhoAndWhen.vue'
import WhoGetsWhat from './WhoGetsWhat.vue'

const props = defineProps<{
  initial: DraftInWork
  known: WorkPage | null
  lesson: LessonId | null
  /** Why its learners were chosen; '' where nothing is said. */
  because: string
}>()
const emit = defineEmits<{ changed: [] }>()
const draft = ref<DraftInWork>(cloneFnJSON(props.initial))
const desk = useDesk()
const shelf = useShelf()
const presets = usePresets()
const now = useServerNow()
const kept = useKeptDraft({
  draft,
  initial: props.initial,
  version: props.known?.version ?? null,
  lesson: props.lesson,
  now: () => now.value,
})
const recipients = shallowRef<Recipients | null>(null)
const { preview, problem: previewProblem } = usePreview(toRef(draft), props.known?.id ?? null)

/** Only the asker's own classes are theirs to change; what all share is shown. */
const isPart = computed(() => props.known !== null && !props.known.isWhole)
/** Textbook lessons from which the pieces come. */
const bookLessons = computed(() => cards.value.flatMap((c) => c.bookLessonId ?? []))
const titles = computed(() =>
  draft.value.pieces.map((p) => ({ id: p.id, title: shelf.piece(p.resourceId)?.title ?? '' })),
)
// work that was begun without a piece is called after the first that is added
watch(
  () => draft.value.pieces,
  ([first], [before]) => {
    const card = before ? null : shelf.piece(first?.resourceId ?? null)
    if (card && draft.value.title === UNNAMED) draft.value = { ...draft.value, title: card.title }
  },
)
/** The chosen classes, and those of the chosen learners. */
const classIdsMeant = computed(() =>
  recipients.value === null ? [] : classesMeant(draft.value, recipients.value),
)
const cards = computed(() => draft.value.pieces.flatMap((p) => shelf.piece(p.resourceId) ?? []))
function add(card: PieceCard): void {
  draft.value = withCard(draft.value, card, { before: cards.value, presets: presets.presets })
}
// whose rules there are is known with the first class only
watch(
  () => firstClassOf(draft.value),
  (_, before) => {
    if (props.known === null)
      draft.value = ruledForClass(draft.value, cards.value, { before, presets: presets.presets })
  },
)
const isTogether = computed(() => draft.value.pieces.some((p) => p.handIn === 'together'))
const today = computed(() => zoneNamed(desk.zone).local(now.value).on)
/** Lessons of the plans that the chosen classes follow; of all own plans while none is chosen. */
const lessons = computed(() => lessonsOffered(draft.value.targets, { recipients: recipients.value, desk }))
const start = computed(
  () =>
    props.lesson ??
    Object.values(draft.value.window).find((m) => m?.kind === 'anchor')?.lessonId ??
    desk.plans
      .flatMap((p) => p.lessons)
      .find((l) => l.bookLessonId && bookLessons.value.includes(l.bookLessonId))?.id ??
    null,
)
const lessonName = (id: string) =>
  desk.plans.flatMap((p) => p.lessons).find((l) => l.id === id)?.number ?? 'this lesson'
const blocked = computed(
  () =>
    previewProblem.value !== '' ||
    (preview.value?.problems.length ?? 0) > 0 ||
    !preview.value ||
    (preview.value.learners === 0 && !preview.value.awaitsNewcomers),
)
const ofPiece = (refusal: Refusal) => sayRefusal(refusal, { lesson: lessonName, zone: desk.zone })

const { busy, problem, save, publishAgain, withdraw } = useSaving({
  forget: kept.forget,
  classId: () => classIdsMeant.value[0] ?? null,
  draft,
  known: props.known,
  say: ofPiece,
  changed: () => emit('changed'),
  names: () => namesIn(recipients.value, lessonName),
})
onMounted(async () => {
  void shelf.load()
  await Promise.all([loadRecipients(), desk.load()])
})
async function loadRecipients(): Promise<void> {
  const reply = await call(ListRecipients)
  if (reply.ok) recipients.value = reply.value
  else problem.value = sayRefusal(reply.error)
}
</script>

<template>
  <div v-if="recipients && desk.loaded" class="composer">
    <BegunBefore
      v-if="kept.begunAt.value !== null"
      :at="kept.begunAt.value"
      :zone="desk.zone"
      :is-gone-on="kept.isGoneOn.value"
      @go-on="kept.goOn"
      @begin-anew="kept.beginAnew"
    />
    <div class="three">
      <section aria-labelledby="what" class="grid gap-3 content-start" :inert="isPart">
        <h2 id="what">What</h2>
        <PiecesPanel
          v-model="draft.pieces"
          :preview="preview"
          :known="known"
          :lesson="start"
          :zone="desk.zone"
          :now="now"
          :class-ids="classIdsMeant"
          @add="add"
        />
        <LikelyPieces v-if="draft.pieces.length === 0" :class-ids="classIdsMeant" :now="now" @add="add" />
        <UFormField label="Title"><UInput v-model="draft.title" name="title" maxlength="120" /></UFormField>
        <UFormField label="Note to learners" hint="optional"
          ><UTextarea v-model="draft.note" :rows="2" autoresize maxlength="1000" name="note"
        /></UFormField>
        <AboutPanel
          v-model="draft"
          :class-id="classIdsMeant[0] ?? null"
          :kind="cards[0]?.kind ?? null"
          :unit="lessons.find((l) => l.value === start)?.unit ?? ''"
        />
      </section>
      <div class="grid grid-cols-[minmax(0,1fr)] gap-5 content-start min-w-0">
        <WhoAndWhen
          v-model="draft"
          :recipients="recipients"
          :preview="preview"
          :lessons="lessons"
          :start="start"
          :today="today"
          :zone="desk.zone"
          :now="now"
          :because="because"
          :is-part="isPart"
          @reload="loadRecipients"
        />
        <VersionsPanel
          v-if="preview"
          v-model="draft"
          :preview="preview"
          :recipients="recipients"
          :pieces="titles"
        />
        <TeamsPanel v-if="isTogether" v-model="draft" :preview="preview" :inert="isPart" />
        <p v-if="problem || previewProblem" class="note-line needs" role="alert">
          {{ problem || previewProblem }}
        </p>
        <LastLook
          v-if="preview"
          v-model="draft"
          :preview="preview"
          :begun="known?.begun ?? 0"
          :pieces="titles"
          :lesson="lessonName"
          :zone="desk.zone"
        />
        <WhoGetsWhat
          v-if="preview"
          :preview="preview"
          :recipients="recipients"
          :pieces="titles"
          :title="draft.title"
          :zone="desk.zone"
          :now="now"
          :work="known?.id ?? null"
        />
      </div>
      <HowPanel v-model="draft" :inert="isPart" :banks="preview?.banks ?? []" :recipients="recipients" />
    </div>
    <ComposerActs
      :known="known"
      :preview="preview"
      :busy="busy"
      :blocked="blocked"
      :may-withdraw="preview !== null || previewProblem !== ''"
      @save="save"
      @publish-again="publishAgain"
      @withdraw="withdraw"
    />
  </div>
  <p v-else-if="problem" class="note-line needs m-4" role="alert">{{ problem }}</p>
  <p v-else class="said p-6">Opening …</p>
</template>

<style scoped>
.composer {
  padding: 0 1.25rem;
}
.three {
  display: grid;
  grid-template-columns: 16.5rem minmax(24rem, 1fr) 15rem;
  gap: 1.6rem;
  padding-block: 1rem;
}
@media (max-width: 1150px) {
  .three {
    grid-template-columns: minmax(0, 1fr) 15rem;
  }
  .three > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
@media (max-width: 640px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
  .three > * {
    grid-column: 1 !important;
    grid-row: auto !important;
  }
}
</style>

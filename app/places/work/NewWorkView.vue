<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { onMounted, shallowRef } from 'vue'
import type { ClassId, LessonId } from '#core/base'
import type { Anchor } from '#core/availability'
import { isScored } from '#core/library'
import { pieceOf } from './draft'
import type { DraftInWork } from './draft'
import { NO_ABOUT } from '#core/work'
import type { WorkPiece } from '#core/work'
import { useDesk } from '~/places/pace'
import { useShelf } from '~/places/shelf'
import { PRESETS } from '~/shared/words/rules'
import WorkComposer from './components/WorkComposer.vue'

useHead({ title: 'Assign · Step Cairn' })
const route = useRoute()
const desk = useDesk()
const shelf = useShelf()
const draft = shallowRef<DraftInWork | null>(null)
const missing = shallowRef(false)
const text = (key: string) => (typeof route.query[key] === 'string' ? (route.query[key] as string) : null)
const lesson = text('lesson') as LessonId | null

/**
 * Hangs on the lesson's meetings where it stands in a plan; else opens when published, without a due date.
 */
onMounted(async () => {
  await Promise.all([shelf.load(), desk.load()])
  const cards = (text('piece') ?? '').split(',').flatMap((id) => shelf.piece(id) ?? [])
  // what the rules are for: a check or a test rather than what is read before it
  const piece = cards.find((c) => isScored(c.kind)) ?? cards[0]
  if (!piece) {
    missing.value = true
    return
  }
  const own = desk.classes.filter((c) => c.mayChange)
  const first =
    own.find((c) => c.id === text('class')) ??
    own.find((c) =>
      desk
        .planOf(c.planId)
        ?.lessons.some((l) => l.bookLessonId !== null && l.bookLessonId === piece.bookLessonId),
    )
  const plan = desk.planOf(first?.planId ?? null)
  const lessonId =
    plan?.lessons.find((l) => l.id === lesson)?.id ??
    plan?.lessons.find((l) => l.bookLessonId !== null && l.bookLessonId === piece.bookLessonId)?.id ??
    null
  const anchor = (part: Pick<Anchor, 'edge' | 'offset' | 'at'>): Anchor | null =>
    lessonId ? { kind: 'anchor', lessonId, step: 'meetings', ...part } : null
  const sharing = own.filter((c) => c.planId !== null && c.planId === first?.planId)
  const preset =
    PRESETS.find(
      (p) => p.key === (piece.kind === 'test' ? 'test' : piece.kind === 'check' ? 'two' : 'practice'),
    ) ?? PRESETS[0]
  const inLesson = plan?.lessons.find((l) => l.id === lessonId)
  draft.value = {
    pieces: cards.reduce<readonly WorkPiece[]>((list, card) => [...list, pieceOf(card, list)], []),
    title: cards.length > 1 && inLesson ? inLesson.title : piece.title,
    note: '',
    about: NO_ABOUT,
    isFirst: false,
    inTurn: false,
    window: {
      listed: null,
      opens: anchor({ edge: 'first', offset: 0, at: 'class-start' }),
      due: anchor({ edge: 'last', offset: 1, at: 'class-end' }),
      closes: null,
      putAway: null,
    },
    rules: preset
      ? isScored(piece.kind)
        ? preset.rules
        : { ...preset.rules, maxAttempts: null }
      : PRESETS[0]!.rules,
    targets: sharing.map((c) => ({
      target: { kind: 'class' as const, classId: c.id as ClassId },
      overrides: {},
    })),
    exceptIds: [],
  }
})
</script>

<template>
  <div>
    <header class="px-5 pt-4"><h1>Assign</h1></header>
    <WorkComposer v-if="draft" :initial="draft" :known="null" :lesson="lesson" />
    <p v-else-if="missing" class="px-5 py-4">
      Choose a piece first, on the <NuxtLink class="plain" to="/shelf">shelf</NuxtLink> or beside a lesson on
      the <NuxtLink class="plain" to="/pace">desk</NuxtLink>.
    </p>
    <p v-else class="said p-5">Opening …</p>
  </div>
</template>
